'use client';

import * as messages from '@/language/reasons';
import { Button, Select } from 'antd';
import Link from 'next/link';
import { useRouter, useSearchParams } from 'next/navigation';
import type { ReactNode } from 'react';
import { formulasOn } from '@/core/explain/formulas';
import { termsOn } from '@/core/explain/losses';
import { PAGE_OF_WORD } from '@/core/vocabulary/words';
import { reasonPage } from '@/core/vocabulary/reasonPages';
import { CAUTIONS } from '@/core/vocabulary/cautions';
import { REASON_PAGES } from '@/core/vocabulary/reasonPages';
import type { ReasonPage } from '@/core/vocabulary/reasonPages';
import { WORDS } from '@/core/vocabulary/words';
import type { WordId } from '@/core/vocabulary/words';
import type { Solution } from '@/core/answer/solve';
import { cautionText } from '@/words/mountText';
import { pageText } from '@/words/reasonPages';
import { PAGE_TITLE } from '@/words/reasonTitles';
import { capital } from '@/words/sentences';
import { shotName } from '@/words/shotName';
import { WORD_LABEL, WORD_MEANS, wordFigure } from '@/words/wordText';
import { usePreference, useShots } from '../data/repository';
import { reasonsUrl, useShotId } from '../routes';
import { useWide } from '../ui/useMediaQuery';
import { FiguresPage } from './FiguresPage';
import { LearnedInUse } from './LearnedFigures';
import { LiveFormula } from './LiveFormula';
import { Losses } from './Losses';
import { NumbersOf } from './NumbersOf';
import styles from './reasons.module.css';
import { SchoolsPage } from './SchoolsPage';

/** Reasons: why the answers are what they are, a page each, with the numbers of a shot. */
export function ReasonsScreen(): ReactNode {
  const query = useSearchParams();
  const router = useRouter();
  const shots = useShots();
  const shotId = useShotId();
  if (!shots) return null;
  const page = reasonPage(query.get('page')) ?? 'playback';
  const back = ownAddress(query.get('back'));
  const record = shots.find(({ id }) => id === shotId) ?? shots[0] ?? null;
  const to = (next: ReasonPage, shot = record?.id ?? null): string => reasonsUrl(next, shot, back);
  return (
    <div className={styles.reasons}>
      <div className={styles.nav} data-screen>
        <h1>{messages.reasons}</h1>
        <p className="quiet">{messages.lead}</p>
        <PageChoice page={page} to={to} />
      </div>
      <article className={styles.page} aria-labelledby="page-title">
        <div className={styles.tools} data-screen>
          {back !== null && <Link href={back}>{messages.back}</Link>}
          {shots.length === 0 ? (
            <span>
              {messages.ofShot} {messages.noShot}
            </span>
          ) : (
            <label>
              {messages.ofShot}
              <Select
                aria-label={messages.ofShot}
                showSearch={{ optionFilterProp: 'label' }}
                popupMatchSelectWidth={false}
                value={record?.id ?? ''}
                options={shots.map(({ id, shot }) => ({ value: id, label: shotName(shot) }))}
                onChange={(id: string) => router.replace(to(page, id))}
              />
            </label>
          )}
          <Button onClick={() => window.print()}>{messages.print}</Button>
        </div>
        <h2 id="page-title" className={styles.title}>
          {PAGE_TITLE[page]}
        </h2>
        <NumbersOf key={record?.id ?? ''} record={record}>
          {({ solution, instead }) => (
            <>
              {instead && <p role="status">{messages.noAnswer}</p>}
              <Page key={page} page={page} solution={solution} />
            </>
          )}
        </NumbersOf>
      </article>
    </div>
  );
}

/** The pages in their order: a list where there is room beside the text, else a choice. */
function PageChoice({ page, to }: { page: ReasonPage; to: (page: ReasonPage) => string }): ReactNode {
  const router = useRouter();
  const wide = useWide();
  if (!wide)
    return (
      <label className={styles.choice}>
        {messages.page}
        <Select
          aria-label={messages.page}
          value={page}
          options={REASON_PAGES.map((one) => ({ value: one, label: PAGE_TITLE[one] }))}
          onChange={(one: ReasonPage) => router.push(to(one))}
        />
      </label>
    );
  return (
    <nav aria-label={messages.pages}>
      <ol>
        {REASON_PAGES.map((one) => (
          <li key={one}>
            <Link href={to(one)} aria-current={one === page ? 'page' : undefined}>
              {PAGE_TITLE[one]}
            </Link>
          </li>
        ))}
      </ol>
    </nav>
  );
}

function Page({ page, solution }: { page: ReasonPage; solution: Solution }): ReactNode {
  const [notation] = usePreference('filterNotation');
  const formulas = formulasOn(page);
  const terms = termsOn(page);
  const words = page === 'glossary' ? WORDS : WORDS.filter((word) => PAGE_OF_WORD[word] === page);
  return (
    <>
      <div className={styles.text}>
        {pageText(page, solution, notation).map((text) => (
          <p key={text}>{text}</p>
        ))}
      </div>
      {page === 'cautions' && <Cautions />}
      {page === 'schools' && <SchoolsPage solution={solution} />}
      {formulas.length > 0 && (
        <section aria-labelledby="formulas-title">
          <h2 id="formulas-title">{messages.formulas}</h2>
          <div className={styles.formulas}>
            {formulas.map((id) => (
              <LiveFormula key={id} id={id} solution={solution} />
            ))}
          </div>
        </section>
      )}
      {terms.length > 0 && <Losses terms={terms} />}
      {page === 'figures' ? <FiguresPage /> : <LearnedInUse of={page} />}
      {words.length > 0 && <Words words={words} solution={solution} />}
    </>
  );
}

function Cautions(): ReactNode {
  return (
    <section aria-labelledby="cautions-title">
      <h2 id="cautions-title">{messages.cautions.listed}</h2>
      <ul className={styles.text}>
        {CAUTIONS.map((caution) => (
          <li key={caution}>{cautionText(caution)}</li>
        ))}
      </ul>
    </section>
  );
}

function Words({ words, solution }: { words: readonly WordId[]; solution: Solution }): ReactNode {
  return (
    <section aria-labelledby="words-title">
      <h2 id="words-title">{messages.words}</h2>
      <dl className={styles.words}>
        {words.map((word) => {
          const figure = wordFigure(word, solution);
          return (
            <div key={word}>
              <dt>{capital(WORD_LABEL[word])}</dt>
              <dd>
                {WORD_MEANS[word]} {figure !== null && messages.glossary.onShot({ figure })}
              </dd>
            </div>
          );
        })}
      </dl>
    </section>
  );
}

/** An address of this app; whatever else is written there leads nowhere. */
function ownAddress(given: string | null): string | null {
  return given !== null && /^\/(?![/\\])/.test(given) ? given : null;
}
