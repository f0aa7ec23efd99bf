import { operation } from '../operations/index.ts';

/** What the clock said of one kind of work on one kind of plant by one person, over so many sittings. */
export interface Sittings {
  operation: string;
  taxonId: string;
  /** null: nobody said who */
  personId: string | null;
  /** minutes a plant, the median of the sittings */
  minutes: number;
  sittings: number;
}

export interface Pace {
  /** person-minutes a plant */
  minutes: number;
  /** sittings it was learned from; 0: as in the library */
  sittings: number;
}

/** Sittings that weigh as much as what was believed before. Common practice, no source. */
const BELIEF = 3;
/** From so many sittings on what was learned is planned with. */
export const LEARNED_FROM = 3;

/** What was believed moved towards what was seen, as ratios: by half after `BELIEF` sittings. */
function moved(believed: number, seen: number, sittings: number): number {
  const weight = sittings / (sittings + BELIEF);
  return believed ** (1 - weight) * seen ** weight;
}

/** Geometric mean of rates, each by its sittings. */
function meanRate(rates: readonly Sittings[]): { rate: number; sittings: number } {
  const sittings = rates.reduce((n, r) => n + r.sittings, 0);
  const logs = rates.reduce((n, r) => n + r.sittings * Math.log(r.minutes), 0);
  return { rate: Math.exp(logs / sittings), sittings };
}

/** Two figures: what was learned must not move every plan at every sitting. */
const roundly = (minutes: number): number => Number(minutes.toPrecision(2));

/** What the clock has taught: how long work takes on each kind, and who is quick or slow at it. */
export class Paces {
  private readonly byWork = new Map<string, Sittings[]>();

  constructor(private readonly all: readonly Sittings[]) {
    for (const s of all) {
      const list = this.byWork.get(s.operation);
      if (list) list.push(s);
      else this.byWork.set(s.operation, [s]);
    }
  }

  /**
   * Minutes a plant of a kind for a piece of work: the library's, moved by all sittings of that work, and from there
   * by those on this kind. Fewer than `LEARNED_FROM` of the work leave the library's; minutes the grower has set stand.
   */
  of(operationId: string, taxonId: string): Pace {
    const { value: usual, basis } = operation(operationId).minutes;
    // what the grower has set stands
    if (basis === 'your data') return { minutes: usual, sittings: 0 };
    const all = this.byWork.get(operationId) ?? [];
    const together = all.length > 0 ? meanRate(all) : null;
    if (!together || together.sittings < LEARNED_FROM) return { minutes: usual, sittings: 0 };
    const own = all.filter((s) => s.taxonId === taxonId);
    const work = moved(usual, together.rate, together.sittings);
    const kind = own.length > 0 ? meanRate(own) : null;
    return {
      minutes: roundly(kind ? moved(work, kind.rate, kind.sittings) : work),
      sittings: kind?.sittings ?? together.sittings,
    };
  }

  /** How long a person takes against all hands together: 1.2 is a fifth longer; 1 where nothing was learned. */
  person(personId: string): { factor: number; sittings: number } {
    const own = this.all.filter((s) => s.personId === personId);
    const sittings = own.reduce((n, s) => n + s.sittings, 0);
    if (sittings < LEARNED_FROM) return { factor: 1, sittings: 0 };
    const together = ({ operation: work, taxonId }: Sittings) =>
      meanRate(this.byWork.get(work)!.filter((s) => s.taxonId === taxonId)).rate;
    const ratios = own.map((s) => ({ ...s, minutes: s.minutes / together(s) }));
    const { rate } = meanRate(ratios);
    return { factor: Math.round(moved(1, rate, sittings) * 100) / 100, sittings };
  }
}
