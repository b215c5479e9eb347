import { type MessageOf, messages } from '#core/units/message';
import { type Range } from '#core/units/limits';

/** What a piece of a link is about. */
export type LinkPart =
  | ('stage' | 'for' | 'into' | 'parts' | 'screen' | 'lime' | 'dose' | 'layer' | 'fill' | 'seed')
  | ('firm' | 'make' | 'spare' | 'also' | 'litres' | 'tests');

/** What in a link makes no sense: a name that nothing has, or a number outside its range. */
export interface LinkFacts {
  'link.unknown': { part: LinkPart; given: string };
  'link.number': { part: LinkPart; of: string | null; given: string; low: number; high: number };
}
const say = messages<LinkFacts>();

/** Reads the pieces of a link, and gathers what in them makes no sense: each once. */
export class LinkPieces {
  private readonly wrong = new Map<string, MessageOf<LinkFacts>>();

  constructor(readonly get: (name: string) => string | null) {}

  get problems(): readonly MessageOf<LinkFacts>[] {
    return [...this.wrong.values()];
  }

  unknown(part: LinkPart, given: string): void {
    this.problem(say('link.unknown', { part, given }));
  }

  /** A number within its range; null, and told, where it is none. @param of whose it is, where the piece names more */
  number(part: LinkPart, given: string, [low, high]: Range, of: string | null = null): number | null {
    const value = Number(given);
    if (given.trim() !== '' && Number.isFinite(value) && value >= low && value <= high) return value;
    this.problem(say('link.number', { part, of, given, low, high }));
    return null;
  }

  /** The same of a piece that may be left out. */
  optional(part: LinkPart, range: Range): number | null {
    const given = this.get(part);
    return given === null ? null : this.number(part, given, range);
  }

  /** One of these; `otherwise` where it is left out, or is told as unknown. */
  among<T extends string>(part: LinkPart, all: readonly T[], otherwise: T): T {
    const given = this.get(part);
    if (given === null) return otherwise;
    const found = all.find((each) => each === given);
    if (!found) this.unknown(part, given);
    return found ?? otherwise;
  }

  /** `id:number,id:number`, of ids that are known. */
  pairs(part: LinkPart, ids: ReadonlyMap<string, unknown>, range: Range): [string, number][] {
    return this.list(part).flatMap((piece): [string, number][] => {
      const [id = '', amount = ''] = piece.split(':');
      if (!ids.has(id)) {
        this.unknown(part, id);
        return [];
      }
      const value = this.number(part, amount, range, id);
      return value === null ? [] : [[id, value]];
    });
  }

  /** Third pieces of a list, by the id before them. */
  thirds(part: LinkPart, what: LinkPart, range: Range): ReadonlyMap<string, number> {
    return new Map(
      this.list(part).flatMap((piece): [string, number][] => {
        const [id = '', , third] = piece.split(':');
        const value = third === undefined ? null : this.number(what, third, range, id);
        return value === null ? [] : [[id, value]];
      }),
    );
  }

  list(part: LinkPart): string[] {
    return (this.get(part) ?? '').split(',').filter((piece) => piece.trim() !== '');
  }

  private problem(messageOf: MessageOf<LinkFacts>): void {
    const { part, given } = messageOf.with;
    this.wrong.set(`${part} ${'of' in messageOf.with ? messageOf.with.of : ''} ${given}`, messageOf);
  }
}
