import {
  client,
  Problem,
  unwrap,
  type Change,
  type Changed,
  type Choices,
  type Resolved,
  type Workbench,
} from '../api/client';
import { ahead as shownAhead } from './ahead';
import type { Areas, Bench, Held, Lit, Look, Shown } from './bench';
import { CHOICES, draws, isOlder, revisionOf } from './documents';
import { foreseen, type Drawing, type Foreseen } from './foreseen';
import { laid } from './laid';
import { merged } from './merged';
import { patched } from './patched';
import { sameParts, tokensOf } from './parts';
import type { Ports } from './ports';
import { Rewinding } from './rewinding';

type Styles = Pick<Resolved, 'schemes' | 'css' | 'css_dark'>;

const RESTS = 140; // ms without a move
const AHEAD = 200; // ms that a write waits at most for what it changes to be on the screen
const soon = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));

/** The state of a workbench: writes in their order, drafts of a drag, styles ahead of everything else, what is lit. It knows
 *  nothing of how it is drawn. */
export class BenchStore implements Bench {
  shown: Shown;
  private listeners = new Set<() => void>();
  /** As it was answered last; what is shown may be ahead of it. */
  private answered: Workbench;
  private queue: Promise<unknown> = Promise.resolve();
  private writes = 0;
  private waiting = 0;
  /** Changes of documents that show already and are not stored yet. */
  private pending: Change[][] = [];
  /** The choices as they will be when every write that was asked for is stored, and how many those are. */
  private ahead: { choices: Choices; writes: number } | null = null;
  private draftChoices: Choices | null = null;
  private draftSystem: Resolved | null = null;
  private wish: Look = { scheme: 'light', vision: '' };
  /** What a drag wants told of it, and whether a question is out. */
  private wanted: Choices | null = null;
  private asking = false;
  private moves = 0;
  private moved = 0;
  /** What pages are being styled with, and whether a question is out. */
  private styled: Choices | null = null;
  private styling = false;
  private styledOn: Promise<unknown> = Promise.resolve();
  /** What a step back or forth, which is on its way, comes to as far as is known. */
  private rewound: Workbench | null = null;
  private rewinding = new Rewinding();
  /** The page that is worked on. */
  private attended: string | null = null;
  private merging: { stored: Resolved; draft: Resolved; made: Resolved } | null = null;

  constructor(
    brand: Workbench,
    private ports: Ports,
  ) {
    this.answered = brand;
    this.shown = {
      brand,
      system: brand.system,
      token: tokensOf(brand.system, false),
      choices: brand.choices.body,
      canWrite: brand.role !== 'reviewer',
      saving: false,
      lit: null,
      look: this.wish,
      areas: {},
      error: null,
      notice: null,
      stale: null,
      asked: null,
      foreseen: null,
    };
    this.draw();
    this.restyle(this.shown.system);
  }

  subscribe = (tell: () => void) => {
    this.listeners.add(tell);
    return () => this.listeners.delete(tell);
  };

  /** Shows something else, and works out anew what follows from it. */
  private set(change: Partial<Shown>): void {
    this.shown = { ...this.shown, ...change };
    this.draw();
    this.listeners.forEach((tell) => tell());
  }

  private draw(): void {
    const { system: drawn, look: looked } = this.shown;
    const brand = this.pending.reduce(shownAhead, this.rewound ?? this.answered);
    const system = this.system();
    const scheme = system.schemes.includes(this.wish.scheme) ? this.wish.scheme : (system.schemes[0] ?? 'light');
    const same = looked.scheme === scheme && looked.vision === this.wish.vision;
    const look = same ? looked : { ...this.wish, scheme };
    const choices = this.draftChoices ?? brand.choices.body;
    const token =
      system === drawn && look.scheme === looked.scheme
        ? this.shown.token
        : tokensOf(system, look.scheme !== system.schemes[0]);
    const own = sameParts(this.shown.brand, brand) ? this.shown.brand : brand;
    this.shown = { ...this.shown, brand: own, system, look, choices, token, saving: this.writes > 0 };
    // What an answer brought; while newer choices are being asked for, their tokens are ahead of it.
    if (look.scheme !== looked.scheme || (system !== drawn && !this.styled)) this.restyle(system);
  }

  private system(): Resolved {
    const stored = (this.rewound ?? this.answered).system;
    const draft = this.draftSystem;
    if (!draft) return stored;
    if (this.merging?.stored !== stored || this.merging.draft !== draft)
      this.merging = { stored, draft, made: merged(stored, draft) };
    return this.merging.made;
  }

  private restyle(system: Styles): void {
    const second = system.schemes.length > 1 && this.shown.look.scheme === system.schemes[1];
    this.ports.restyle(second ? system.css_dark : system.css);
  }

  /** Takes over what was loaded anew, by a window that is looked at again or after somebody was faster. */
  loaded(brand: Workbench): void {
    if (brand === this.answered || this.pending.length || isOlder(brand, this.answered)) return;
    this.answered = brand;
    this.set({});
  }

  private take(held: Workbench, answer: Changed): void {
    this.hold(laid(held, answer));
    this.set({});
  }

  private hold(next: Workbench): void {
    this.rewinding.keep(this.answered, next);
    this.rewound = null;
    this.answered = next;
    this.ports.keep(next);
  }

  private get path() {
    return { params: { path: { brand_id: this.answered.id } } };
  }
  private get held(): Held {
    return { 'Formulon-State': this.answered.state };
  }

  // Writing

  /** One after the other, so that each is based on the revision that the last one made. */
  afterChanges = <T>(work: () => Promise<T>): Promise<T> => {
    this.waiting += 1;
    const turn = () => work().finally(() => (this.waiting -= 1));
    const next = this.queue.then(turn, turn);
    this.queue = next.catch(() => undefined);
    return next;
  };

  saves = async <T>(work: () => Promise<T>): Promise<T> => {
    this.writes += 1;
    this.set({});
    try {
      return await work();
    } finally {
      this.writes -= 1;
      this.set({});
    }
  };

  write = <T>(ask: (headers: Held) => Promise<T>, changed: (answer: T) => Changed): Promise<T> =>
    this.saves(() =>
      this.afterChanges(async () => {
        const base = this.answered;
        const answer = await ask(this.held);
        this.take(base, changed(answer));
        return answer;
      }),
    );

  change = (label: string, changes: Change[], drawn?: Foreseen | null): Promise<boolean> => {
    this.writes += 1;
    // What is shown of a drag ends with this change, unless the drag goes on meanwhile.
    const move = this.moves;
    const restyles = changes.every((one) => one.document === CHOICES);
    if (restyles) {
      // Shown at once, whatever is still on its way to be stored.
      const now = this.ahead?.choices ?? this.answered.choices.body;
      this.ahead = {
        choices: changes.reduce((made, one) => patched(made, one.patch), now),
        writes: (this.ahead?.writes ?? 0) + 1,
      };
      this.styleOf(this.ahead.choices);
      this.draftChoices = this.ahead.choices;
    } else {
      // What was chosen shows at once; what follows from it comes with the answer.
      this.pending = [...this.pending, changes];
    }
    const late = new AbortController();
    let ahead = drawn ? Promise.resolve(drawn) : this.waiting ? null : this.foresee(changes, late.signal);
    this.set(drawn ? { foreseen: drawn } : {});
    return this.afterChanges(async () => {
      // The notice's “Undo” would take back this change, not the one that it speaks of.
      this.set({ error: null, notice: null });
      // The pages are drawn first: to store takes the same processors ten times as long.
      ahead ??= this.foresee(changes, late.signal);
      await Promise.race([restyles ? this.styledOn : ahead, soon(AHEAD)]);
      late.abort(); // once it is stored, it would be drawn with the change twice
      const base = this.answered;
      try {
        const edits = changes.map((one) => ({ ...one, revision: revisionOf(base, one.document) }));
        const answer = await unwrap(
          client.POST('/api/brands/{brand_id}/changes', { ...this.path, headers: this.held, body: { label, edits } }),
        );
        const next = laid(base, answer);
        this.pending = this.pending.filter((one) => one !== changes);
        if (restyles && this.ahead) {
          this.ahead.writes -= 1;
          if (!this.ahead.writes) this.ahead = null;
        }
        if (!this.ahead && move === this.moves) {
          this.styled = null;
          this.restyle(next.system);
          await this.ports.painted();
        }
        const seen = await Promise.race([ahead, soon(0)]);
        if (seen) this.ports.drawn(seen, next);
        this.hold(next);
        if (move === this.moves) this.stopDraft();
        return true;
      } catch (problem) {
        this.ahead = null;
        this.pending = this.pending.filter((one) => one !== changes);
        this.stopDraft();
        if (problem instanceof Problem && problem.code === 'stale') this.set({ stale: { problem, label, changes } });
        else this.report(problem);
        return false;
      } finally {
        this.writes -= 1;
        this.set({ foreseen: null });
      }
    });
  };

  attend = (page: string | null): void => {
    this.attended = page;
  };
  drawing = (): Drawing | null => (this.attended ? { page: this.attended, scheme: this.shown.look.scheme } : null);

  /** Shows the page that is worked on as a change leaves it; where others wait behind it, the newest is to be seen. */
  private async foresee(changes: Change[], signal: AbortSignal): Promise<Foreseen | null> {
    const drawing = this.drawing();
    const alone = this.pending.length === 1 && this.pending[0] === changes;
    if (!drawing || !alone || !draws(changes, drawing.page)) return null;
    const made = await foreseen(this.answered.id, drawing, changes, signal);
    if (made && this.pending.includes(changes)) this.set({ foreseen: made });
    return made;
  }

  /** Somebody was faster: shows what is there now, and makes one's own change again if that is wanted. */
  settle = async (keepOwn: boolean): Promise<void> => {
    const stale = this.shown.stale;
    try {
      this.loaded(await this.ports.load());
    } catch (problem) {
      this.report(problem);
    }
    this.set({ stale: null });
    if (keepOwn && stale) await this.change(stale.label, stale.changes);
  };

  undo = () => this.replay('undo');
  redo = () => this.replay('redo');

  answer = (goOn: boolean) => {
    const asked = this.shown.asked;
    this.set({ asked: null });
    if (goOn && asked) void this.replay(asked.way, true);
  };

  /** Undo or redo of one's own next change. Where somebody has changed the same place since, it is asked first. */
  private replay(way: 'undo' | 'redo', anyway = false): Promise<void> {
    return this.saves(() => this.afterChanges(() => this.step(way, anyway)));
  }

  private async step(way: 'undo' | 'redo', anyway: boolean): Promise<void> {
    const base = this.answered;
    const step = base.history[way];
    this.rewound = step ? this.rewinding.shown(base, way, step.entry) : null;
    this.set({ error: null, notice: null, asked: null });
    if (!step) return;
    const body = { entry: step.entry, anyway };
    try {
      const answer = await unwrap(
        client.POST(`/api/brands/{brand_id}/${way}`, { ...this.path, headers: this.held, body }),
      );
      this.take(base, answer);
      this.endDraft();
    } catch (problem) {
      this.rewound = null;
      if (problem instanceof Problem && problem.code === 'changed-since' && problem.body['possible'])
        this.set({ asked: { way, text: problem.message } });
      else this.report(problem);
    }
  }

  // Drafts

  /** While a drag goes on the pages follow every move; what else is told of it follows when it is calm. At most one
   *  question is out, and the newest choices are asked next. */
  draft = (choices: Choices): void => {
    this.moves += 1;
    this.moved = performance.now();
    this.wanted = choices;
    this.draftChoices = choices;
    this.styleOf(choices);
    this.set({});
    if (!this.asking) void this.askOfDraft();
  };

  private async askOfDraft(): Promise<void> {
    this.asking = true;
    let asked: Choices | null = null;
    while (this.wanted && this.wanted !== asked) {
      while (performance.now() - this.moved < RESTS) await soon(20);
      asked = this.wanted as Choices | null; // which may have ended meanwhile
      if (!asked) break;
      try {
        const answer = await unwrap(
          client.POST('/api/brands/{brand_id}/draft', { ...this.path, body: { choices: asked } }),
        );
        await this.ports.painted();
        if (!this.wanted) break;
        this.draftSystem = answer;
        this.set({});
      } catch (problem) {
        this.report(problem);
        break;
      }
    }
    this.asking = false;
  }

  endDraft = (): void => {
    this.stopDraft();
    this.set({});
  };

  private stopDraft(): void {
    this.wanted = null;
    if (!this.ahead) {
      this.styled = null;
      this.restyle(this.answered.system);
    }
    this.draftChoices = this.ahead?.choices ?? null;
    this.draftSystem = null;
  }

  /** The tokens of choices ahead of everything else that is told of them: at most one question is out, and the newest
   *  choices are asked next. What cannot be styled is told by the question that follows. */
  private styleOf(choices: Choices): void {
    this.styled = choices;
    if (!this.styling) this.styledOn = this.askOfStyle().then(this.ports.painted);
  }

  private async askOfStyle(): Promise<void> {
    this.styling = true;
    let asked: Choices | null = null;
    while (this.styled && this.styled !== asked) {
      asked = this.styled;
      const answer = await unwrap(
        client.POST('/api/brands/{brand_id}/style', { ...this.path, body: { choices: asked } }),
      ).catch(() => null);
      if (answer && this.styled) this.restyle(answer);
      else if (this.styled === asked) this.styled = null; // what the draft brings is shown instead
    }
    this.styling = false;
  }

  // What is looked at, and what is said

  revision = (document: string): number => revisionOf(this.answered, document);
  light = (lit: Lit): void => this.set({ lit });
  setLook = (look: Look): void => {
    this.wish = look;
    this.set({});
  };
  measured = (page: string, width: number, areas: Areas): void => {
    const own = this.shown.areas[page];
    if (own && (own.width > width || JSON.stringify(own.areas) === JSON.stringify(areas))) return;
    this.set({ areas: { ...this.shown.areas, [page]: { width, areas } } });
  };
  report = (problem: unknown): void => {
    if (problem instanceof Problem && problem.status === 401) this.ports.signedOut();
    this.set({ error: problem instanceof Error ? problem.message : null });
  };
  say = (text: string, undo = true): void => this.set({ notice: { text, undo } });
  close = (): void => this.set({ error: null, notice: null });
}
