'use client';

import * as messages from '@/language/licences';
import { useEffect, useState } from 'react';
import type { ReactNode } from 'react';
import styles from './licences.module.css';

/** As `scripts/buildLicences.mjs` writes it. */
interface Licences {
  packages: { name: string; version: string; licence: string; text: number }[];
  texts: string[];
}

/** Licences: every package that ships with the app, and the words it ships under. */
export function LicencesScreen(): ReactNode {
  const [licences, setLicences] = useState<Licences | 'failed' | null>(null);
  useEffect(() => {
    let gone = false;
    const set = (result: Licences | 'failed'): void => {
      if (!gone) setLicences(result);
    };
    fetch('/licences.json')
      .then((response) => response.json() as Promise<Licences>)
      .then(set, () => set('failed'));
    return () => {
      gone = true;
    };
  }, []);
  return (
    <div className={styles.licences}>
      <h1>{messages.licences}</h1>
      <p>{messages.lynxeyeIsUnderTheMIT}</p>
      {licences === null && <p className="quiet">{messages.readingTheList}</p>}
      {licences === 'failed' && <p role="alert">{messages.theListCouldNotBe}</p>}
      {licences !== null && licences !== 'failed' && (
        <>
          <p>{messages.packages({ count: licences.packages.length })}</p>
          <ul className={styles.list}>
            {licences.packages.map(({ name, version, licence, text }) => (
              <li key={`${name} ${version}`}>
                <details>
                  <summary>
                    <b>{name}</b> {version} <span className="quiet">{licence}</span>
                  </summary>
                  <pre>{licences.texts[text]}</pre>
                </details>
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}
