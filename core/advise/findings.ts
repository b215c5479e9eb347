import { type Flag, type KeptFlag, type Severity } from '#core/judge/flag';
import { type Judgement } from '#core/judge/judge';
import { type ReadingId } from '#core/judge/readings';
import { loudnessOf } from '#core/advise/attempts';
import { type FlagCode, type Subject, subjectOf } from '#core/recipe/flag-code';

export const verdicts = ['ready', 'watch', 'stop'] as const;
export type MixVerdict = (typeof verdicts)[number];

/** What is to be said of one subject: its loudest cause, and all that it stands for. */
export interface Finding {
  subject: Exclude<Subject, 'care'>;
  severity: Severity;
  codes: readonly FlagCode[];
  /** The loudest of them: its words are said. */
  cause: Flag;
  /** What else adds to it, the loudest first. */
  adds: readonly Flag[];
}

/** Which reading tells of a subject. */
export const tells: Partial<Record<Finding['subject'], readonly ReadingId[]>> = {
  air: ['airAfterDrydown', 'air'],
  ph: ['ph'],
  salts: ['ecSaturated'],
  nitrogen: ['n'],
  pieces: ['overSize'],
  holding: ['cohesion'],
};
/** Reminders of care are none of the mix's own: an approach may raise them, no change of the mix puts them right. */
export function verdictOf({ flags }: Pick<Judgement, 'flags'>): MixVerdict {
  const has = (severity: Severity): boolean =>
    flags.some((f) => f.severity === severity && subjectOf[f.code] !== 'care');
  return has('stop') ? 'stop' : has('warn') ? 'watch' : 'ready';
}

/** The loudest of each subject, as a card says it; notes and reminders of care apart. @param flags worst first */
export function loudestOf<F extends KeptFlag>(flags: readonly F[]): F[] {
  const subjects: Readonly<Record<string, Subject>> = subjectOf;
  const said = new Set<string>();
  return flags.filter(({ code, severity }) => {
    // A code of before stands for itself.
    const subject = subjects[code] ?? code;
    if (severity === 'note' || said.has(subject)) return false;
    if (subject !== 'care') said.add(subject);
    return true;
  });
}

/** At most one a subject, the loudest first; reminders of care apart. */
export function findingsOf({ flags }: Pick<Judgement, 'flags'>): { findings: Finding[]; care: Flag[] } {
  const bySubject = new Map<Finding['subject'], Flag[]>();
  const care: Flag[] = [];
  for (const flag of flags) {
    const subject = subjectOf[flag.code];
    if (subject === 'care') care.push(flag);
    else bySubject.set(subject, [...(bySubject.get(subject) ?? []), flag]);
  }
  const findings = [...bySubject].map(([subject, all]): Finding => {
    // Rules of equal loudness stand in the order in which they are told.
    const cause = all.reduce((a, b) => (loudnessOf(b.severity) > loudnessOf(a.severity) ? b : a));
    return {
      ...{ subject, severity: cause.severity, codes: all.map((f) => f.code), cause },
      adds: all.filter((f) => f !== cause),
    };
  });
  return {
    findings: findings.sort((a, b) => loudnessOf(b.severity) - loudnessOf(a.severity)),
    care,
  };
}
