import type { Fault } from '@/core/schema/fault';
import { readShot } from '@/core/records/shot';
import { parseJson } from '@/formats/json';
import { answerShot } from '@/words/answer';
import { faultsInWords } from '@/words/faultText';

/** What is answered: a status of HTTP, and a text of JSON. */
export interface Solved {
  status: number;
  json: string;
}

/** A shot's text solved: its answer, its refusal, or its faults. */
export function solved(text: string): Solved {
  const parsed = parseJson(text);
  const shot = parsed.ok ? readShot(parsed.value) : parsed;
  if (!shot.ok) return faultsTold(400, shot.faults);
  const answer = answerShot(shot.value);
  return { status: answer.kind === 'lynxeye/answer' ? 200 : 422, json: JSON.stringify(answer) };
}

export function faultsTold(status: number, faults: readonly Fault[]): Solved {
  return {
    status,
    json: JSON.stringify({ kind: 'lynxeye/faults', version: 1, faults: faultsInWords(faults) }),
  };
}

/** What the pool of threads asks a thread for. */
export default solved;
