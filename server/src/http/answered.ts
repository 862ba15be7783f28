/** An answer as the JSON that is sent. */
export class Answered {
  constructor(readonly json: string) {}
}
