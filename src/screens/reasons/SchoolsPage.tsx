'use client';

import * as messages from '@/language/reasons';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { schoolOf, schoolsFor } from '@/core/loss/schools';
import type { School } from '@/core/loss/schools';
import { judgedBySchool } from '@/core/search/judged';
import { settingsOf } from '@/core/search/settingsOf';
import type { Solution } from '@/core/answer/solve';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import { WEIGHED_TERMS } from '@/core/vocabulary/terms';
import { capital } from '@/words/sentences';
import { SCHOOL_LABEL, SCHOOL_MEANS, STABILIZATION_LABEL, TERM_LABEL, viewLabel } from '@/words/labels';
import { PAGE_TITLE } from '@/words/reasonTitles';
import { filterText } from '@/words/settingText';
import { usePreference } from '../data/repository';
import styles from './reasons.module.css';

/** The schools side by side: what each aims at and minds, and what it makes of the shot. */
export function SchoolsPage({ solution: { space, candidate } }: { solution: Solution }): ReactNode {
  const [notation] = usePreference('filterNotation');
  const { brief } = space;
  const rows = useMemo(
    () =>
      schoolsFor(brief.look).map((id) => {
        const judged = judgedBySchool(space, candidate, id);
        return {
          school: schoolOf(brief.look, id),
          settings: judged && settingsOf(judged.space, judged.candidate),
        };
      }),
    [space, candidate, brief],
  );
  return (
    <div className={styles.wide}>
      <table className={styles.table}>
        <caption>{PAGE_TITLE.schools}</caption>
        <thead>
          <tr>
            <th scope="col">{messages.schools.school}</th>
            <th scope="col">{messages.schools.means}</th>
            <th scope="col">{messages.schools.aim}</th>
            <th scope="col">{messages.schools.minds}</th>
            <th scope="col">{messages.schools.makes}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ school, settings }) => (
            <tr key={school.id}>
              <th scope="row">{capital(SCHOOL_LABEL[school.id])}</th>
              <td>{SCHOOL_MEANS[school.id]}</td>
              <td>{aimText(school)}</td>
              <td>{mindsText(school)}</td>
              <td>
                {settings
                  ? messages.schools.makesOf({
                      shutter: shutterFraction(settings.shutterSeconds),
                      filter: filterText(settings.filter, brief.filters, notation),
                      view: viewLabel(settings.view.id),
                      hold: STABILIZATION_LABEL[settings.stabilization],
                    })
                  : messages.schools.nothing}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function aimText({ aim }: School): string {
  return messages.schools.aimOf({
    angle: trimmed(aim.angleDeg, 0),
    floor: aim.orShakeFloor ? messages.schools.orFloor : '',
  });
}

function mindsText({ weights }: School): string {
  const told = WEIGHED_TERMS.filter((term) => Math.abs(weights[term] - 1) > 0.05)
    .sort((a, b) => Math.abs(Math.log(weights[b])) - Math.abs(Math.log(weights[a])))
    .map((term) => messages.schools.mindsOf({ term: TERM_LABEL[term], weight: tenths(weights[term]) }));
  return told.length === 0 ? messages.schools.evenly : told.join(', ');
}
