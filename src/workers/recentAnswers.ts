import { dequal } from 'dequal/lite';

/**
 * Answers to what was asked for last, by content: the question itself is kept beside its answer, and another is the same
 * where it equals it. For few and large questions: the very same object is told at once, another at its first difference.
 */
export class RecentAnswers<Q, A> {
  private kept: { question: Q; answer: A }[] = [];

  constructor(private readonly most: number) {}

  /** The answer of such a question, which then is the one asked for last. */
  get(question: Q): A | undefined {
    const found = this.kept.find((one) => dequal(one.question, question));
    if (found) this.kept = [found, ...this.kept.filter((one) => one !== found)];
    return found?.answer;
  }

  put(question: Q, answer: A): A {
    this.drop(question);
    this.kept = [{ question, answer }, ...this.kept].slice(0, this.most);
    return answer;
  }

  drop(question: Q): void {
    this.kept = this.kept.filter((one) => !dequal(one.question, question));
  }
}
