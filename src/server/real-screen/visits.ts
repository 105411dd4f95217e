import { randomBytes, timingSafeEqual } from 'node:crypto';
import { bestReadings, type Reading } from '@/core/screens/measured';
import type { Shown, Visitor } from '@/formats/real-screen/shown';

/** How long real screens are let in once somebody has switched that on. */
export const OPEN_MS = 10 * 60 * 1000;
/** Screens that can be there at a time. */
export const MOST_VISITORS = 4;
/** One that has not listened for so long makes room for another where there is none; until then it may come back. */
const GONE_MS = 60 * 1000;

/** What a screen that has come is told. */
export type Told = { kind: 'shown'; text: string } | { kind: 'end' };

/** A screen that came by an address, and what it may see. */
export class Visit {
  readonly id = crypto.randomUUID();
  /** what the browser brings along from then on */
  readonly key = randomBytes(32).toString('base64url');
  readonly since = new Date().toISOString();
  private readings: Reading[] = [];
  private now: Reading | null = null;
  private shown: string | null = null;
  /** the files that it may ask for: those of what it shows, and of what it has shown just before */
  private files: readonly ReadonlySet<string>[] = [];
  private readonly listening = new Set<(told: Told) => void>();
  /** when it was last there, ms */
  private lastThere: number;

  /** @param clock the time, ms */
  constructor(
    readonly address: string,
    private readonly clock: () => number,
  ) {
    this.lastThere = clock();
  }

  get isGone(): boolean {
    return this.listening.size === 0 && this.clock() - this.lastThere >= GONE_MS;
  }

  /** Keeps the best of what was read in each position, and the latest. */
  read(reading: Reading): void {
    this.readings = bestReadings([...this.readings, reading]);
    this.now = reading;
  }

  show(shown: Shown): void {
    this.files = [new Set(shown.files.map((f) => f.hash)), ...this.files.slice(0, 1)];
    this.shown = JSON.stringify(shown);
    this.tell({ kind: 'shown', text: this.shown });
  }

  maySee = (hash: string): boolean => this.files.some((f) => f.has(hash));

  /** Hears of what is to be shown, of the present at once. @returns a function that ends it */
  listen(hear: (told: Told) => void): () => void {
    this.listening.add(hear);
    if (this.shown !== null) hear({ kind: 'shown', text: this.shown });
    return () => {
      this.listening.delete(hear);
      this.lastThere = this.clock();
    };
  }

  end(): void {
    this.tell({ kind: 'end' });
    this.listening.clear();
  }

  private tell(told: Told): void {
    for (const hear of [...this.listening]) hear(told);
  }

  said(): Visitor {
    const { id, since, readings, now } = this;
    return { id, since, readings, now, connected: this.listening.size > 0 };
  }
}

function isSame(a: string, b: string): boolean {
  const [x, y] = [Buffer.from(a), Buffer.from(b)];
  return x.length === y.length && timingSafeEqual(x, y);
}

/**
 * Which screens are let in: one by each address, once, while the time is not over. Whoever has come is known by a key of
 * its own.
 */
export class Visits {
  private address: string | null = null;
  private until = 0;
  private all: Visit[] = [];

  /** @param now ms */
  constructor(private readonly now: () => number = Date.now) {}

  /** A new address; the one before is none any more. Those who have come may stay for ten minutes more. */
  newAddress(): string {
    this.until = this.now() + OPEN_MS;
    this.address = randomBytes(16).toString('base64url');
    return this.address;
  }

  get isFull(): boolean {
    return this.all.filter((v) => !v.isGone).length >= MOST_VISITORS;
  }

  get isOpen(): boolean {
    return this.now() < this.until;
  }

  get ends(): number {
    return this.until;
  }

  /** The address that nobody has used yet. */
  get unused(): string | null {
    return this.isOpen ? this.address : null;
  }

  isUnused = (address: string): boolean => this.unused !== null && isSame(address, this.unused);

  /** Lets one screen in by an address, which is used up by that; `null` for any other. */
  come(address: string): Visit | null {
    if (!this.isUnused(address) || this.isFull) return null;
    this.address = null;
    const visit = new Visit(address, this.now);
    const gone = this.all.length >= MOST_VISITORS ? this.all.find((v) => v.isGone) : undefined;
    this.all = [...this.all.filter((v) => v !== gone), visit];
    return visit;
  }

  /** Who brings this key along to the address that they came by. */
  known(address: string, key: string | undefined): Visit | null {
    if (!this.isOpen || key === undefined) return null;
    return this.all.find((v) => isSame(v.key, key) && isSame(v.address, address)) ?? null;
  }

  visit = (id: string): Visit | undefined => this.all.find((v) => v.id === id);

  said = (): Visitor[] => this.all.map((v) => v.said());

  /** @returns whether it was there */
  sendAway(id: string): boolean {
    const found = this.visit(id);
    found?.end();
    this.all = this.all.filter((v) => v !== found);
    return found !== undefined;
  }

  close(): void {
    this.address = null;
    this.until = 0;
    for (const visit of this.all) visit.end();
    this.all = [];
  }
}
