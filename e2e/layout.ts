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
    /** What is pulled sideways inside a thing of its own ends at its edges. */
    const clipped = (element: Element, rects: readonly DOMRect[]): DOMRect[] => {
      let [left, right] = [-Infinity, Infinity];
      for (let up = element.parentElement; up; up = up.parentElement)
        if (['auto', 'scroll', 'hidden', 'clip'].includes(getComputedStyle(up).overflowX)) {
          const edge = up.getBoundingClientRect();
          [left, right] = [Math.max(left, edge.left), Math.min(right, edge.right)];
        }
      return rects.map(({ x, y, width, height }) => {
        const from = Math.max(x, left);
        return new DOMRect(from, y, Math.max(0, Math.min(x + width, right) - from), height);
      });
    };
    const inks = things.map((element) => ({ element, rects: clipped(element, inkOf(element)) }));
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
        const latest = performance.now() + 60_000;
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

/** Words of a drawing, or of the page, that stand over other words: nothing can be read where both are. */
export async function wordsOver(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    interface Word {
      element: Element;
      text: string;
      box: DOMRect;
    }
    /** What stays in sight lies over the rest by intent, and the rest can be scrolled from under it. */
    const apart = (element: Element): boolean => {
      for (let up: Element | null = element; up; up = up.parentElement) {
        const { position, clipPath } = getComputedStyle(up);
        if (['sticky', 'fixed'].includes(position) || clipPath.startsWith('inset(50%')) return true;
        if (up.matches('.unseen, option, .ant-select-dropdown, title, defs')) return true;
      }
      return false;
    };
    /** The part of a box that is not cut away by what scrolls or clips around it. */
    const shownOf = (element: Element, rect: DOMRect): DOMRect => {
      let { left, right, top, bottom } = rect;
      for (let up: Element | null = element; up && up !== document.body; up = up.parentElement) {
        const { overflowX, overflowY } = getComputedStyle(up);
        if (overflowX === 'visible' && overflowY === 'visible') continue;
        const box = up.getBoundingClientRect();
        [left, right] = [Math.max(left, box.left), Math.min(right, box.right)];
        [top, bottom] = [Math.max(top, box.top), Math.min(bottom, box.bottom)];
      }
      return new DOMRect(left, top, Math.max(0, right - left), Math.max(0, bottom - top));
    };
    const words: Word[] = [];
    const walk = document.createTreeWalker(
      document.querySelector('main') ?? document.body,
      NodeFilter.SHOW_TEXT,
    );
    for (let node = walk.nextNode(); node; node = walk.nextNode()) {
      const element = node.parentElement;
      const text = node.textContent?.trim() ?? '';
      if (!element || text === '' || apart(element)) continue;
      if (!element.checkVisibility({ opacityProperty: true, visibilityProperty: true })) continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      for (const rect of range.getClientRects()) {
        const { x, y, width, height } = shownOf(element, rect);
        // A line's box is taller than its letters.
        const ink = new DOMRect(x + 0.5, y + height * 0.2, width - 1, height * 0.6);
        if (ink.width > 2 && ink.height > 2) words.push({ element, text, box: ink });
      }
    }
    const found = new Set<string>();
    words.sort((a, b) => a.box.top - b.box.top);
    for (const [at, a] of words.entries())
      for (const b of words.slice(at + 1)) {
        if (b.box.top >= a.box.bottom - 1) break;
        if (a.element === b.element) continue;
        const across = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left);
        if (across > 1.5) found.add(`"${a.text.slice(0, 24)}" and "${b.text.slice(0, 24)}"`);
      }
    return [...found].slice(0, 8);
  });
}
