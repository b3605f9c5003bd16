/** Asks one question at a time: while one is out, of those that come only the newest is asked next. */
export class Newest<Question, Answer> {
  private waiting: { question: Question } | undefined;
  private busy = false;

  constructor(
    private readonly fetch: (question: Question) => Promise<Answer>,
    private readonly told: (question: Question, answer: Answer) => void,
    private readonly failed: (question: Question) => void,
  ) {}

  ask(question: Question): void {
    this.waiting = { question };
    if (!this.busy) void this.work();
  }

  private async work(): Promise<void> {
    this.busy = true;
    while (this.waiting) {
      const { question } = this.waiting;
      this.waiting = undefined;
      try {
        this.told(question, await this.fetch(question));
      } catch {
        this.failed(question);
      }
    }
    this.busy = false;
  }
}
