import type { Page } from '@playwright/test';

/** What sticks out of the page sideways, what lies over something else, and what is cut with the whole not at hand. */
export async function amiss(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const found: string[] = [];
    const name = (element: Element): string =>
      `${element.tagName.toLowerCase()}.${(element.getAttribute('class') ?? '').slice(0, 40)} "${element.textContent.trim().slice(0, 24)}"`;
    const root = document.documentElement;
    const scrolls = (element: Element): boolean => {
      for (let up: Element | null = element; up && up !== document.body; up = up.parentElement) {
        const { overflowX, position } = getComputedStyle(up);
        if (['auto', 'scroll', 'hidden', 'clip'].includes(overflowX) || position === 'fixed') return true;
      }
      return false;
    };
    if (root.scrollWidth > root.clientWidth + 1) {
      const wide = [...document.querySelectorAll('main *, header *')].filter(
        (element) => element.getBoundingClientRect().right > root.clientWidth + 1 && !scrolls(element),
      );
      const inner = wide.filter((element) => !wide.some((other) => other.parentElement === element));
      found.push(`scrolls sideways: ${inner.slice(0, 3).map(name).join(', ')}`);
    }
    /** What stays in sight lies over the rest by intent, and the rest can be scrolled from under it. */
    const sticks = (element: Element): boolean => {
      for (let up: Element | null = element; up; up = up.parentElement)
        if (['sticky', 'fixed'].includes(getComputedStyle(up).position)) return true;
      return false;
    };
    const seen = (element: Element): boolean => {
      const { width, height } = element.getBoundingClientRect();
      return (
        element.checkVisibility({ opacityProperty: true, visibilityProperty: true }) &&
        width > 2 &&
        height > 2 &&
        !sticks(element)
      );
    };
    const things = [
      ...document.querySelectorAll<HTMLElement>(
        'main button, main a, main input:not([type=range]), main textarea, main h1, main h2, main h3, main label, header button, header a',
      ),
    ].filter((element) => seen(element) && !element.closest('[aria-hidden=true], .unseen, svg, .ant-select'));
    // What is seen of a thing: its words and drawings, not the room around them that can be pressed.
    const inkOf = (element: HTMLElement): DOMRect[] => {
      const field = element.matches('input, textarea') ? [element.getBoundingClientRect()] : [];
      const words = document.createTreeWalker(element, NodeFilter.SHOW_TEXT);
      const rects: DOMRect[] = [...field];
      for (let node = words.nextNode(); node; node = words.nextNode()) {
        if (node.parentElement?.closest('.unseen')) continue;
        const range = document.createRange();
        range.selectNodeContents(node);
        rects.push(...range.getClientRects());
      }
      for (const drawing of element.querySelectorAll('svg')) rects.push(drawing.getBoundingClientRect());
      return rects;
    };
    const inks = things.map((element) => ({ element, rects: inkOf(element) }));
    const crossed = (a: DOMRect, b: DOMRect): boolean =>
      Math.min(a.right, b.right) - Math.max(a.left, b.left) > 3 &&
      Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > 3;
    for (const [at, a] of inks.entries())
      for (const b of inks.slice(at + 1)) {
        if (a.element.contains(b.element) || b.element.contains(a.element)) continue;
        if (a.rects.some((one) => b.rects.some((other) => crossed(one, other))))
          found.push(`${name(a.element)} lies over ${name(b.element)}`);
      }
    for (const element of document.querySelectorAll<HTMLElement>('main *, header *')) {
      if (element.scrollWidth <= element.clientWidth + 2 || element.clientWidth === 0 || !seen(element))
        continue;
      const { overflowX, textOverflow } = getComputedStyle(element);
      if (!['hidden', 'clip'].includes(overflowX) || element.closest('.unseen, svg, [role=img]')) continue;
      const cutText =
        textOverflow === 'ellipsis' ||
        [...element.childNodes].some(
          ({ nodeType, textContent }) => nodeType === 3 && textContent?.trim() !== '',
        );
      if (cutText && !element.closest('[title]'))
        found.push(`cut without its whole at hand: ${name(element)}`);
    }
    return found.slice(0, 6);
  });
}

/** Nothing has been drawn anew for a while: whatever the workers were asked is there. */
export async function settled(page: Page): Promise<void> {
  await page.evaluate(
    () =>
      new Promise<void>((still) => {
        const latest = performance.now() + 5000;
        let timer = 0;
        const wait = (): void => {
          if (performance.now() > latest) return;
          clearTimeout(timer);
          timer = window.setTimeout(() => {
            if (document.querySelector('[data-working=true]') && performance.now() < latest) wait();
            else still();
          }, 250);
        };
        new MutationObserver(wait).observe(document.body, {
          subtree: true,
          childList: true,
          characterData: true,
        });
        wait();
      }),
  );
}
