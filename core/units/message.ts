import { type Said } from '#core/units/said';

/** A thing by its id and the name that it has here: of the starter library, or the nursery's own. */
export interface Named {
  id: string;
  name: string;
}

/**
 * What is so, without a word: a code, and what it is about. Plain JSON, so that it can be kept, and said later in the
 * language and the units of whoever reads it. A number has its unit in its name: `litres`, `mm`, `celsius`.
 */
export interface Message<Code extends string = string, Facts = object> {
  readonly say: Code;
  readonly with: Facts;
}

/** All messages of a table that has the facts of each code. */
export type MessageOf<Table> = { [Code in keyof Table & string]: Message<Code, Table[Code]> }[keyof Table &
  string];

/** Makes messages of one table: a code that it has not, or other facts than the code's own, do not compile. */
export const messages =
  <Table>() =>
  <Code extends keyof Table & string>(say: Code, facts: Table[Code]): Message<Code, Table[Code]> => ({
    say,
    with: facts,
  });

/** No facts beside the code. */
export type None = Readonly<Record<string, never>>;
export const none: None = {};

/** A message; or, on what was kept before there were messages, its sentence with the quantities left in. */
export type Text<M extends Message = Message> = M | Said;

/** Id and name alone, of whatever has more. */
export const named = ({ id, name }: Named): Named => ({ id, name });
