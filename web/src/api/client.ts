import createClient from 'openapi-fetch';
import type { components, paths } from './schema';

type Schemas = components['schemas'];
export type Workbench = Schemas['Workbench'];
/** What a write changed of the workbench that was held. */
export type Changed = Partial<Omit<Workbench, 'system'>> &
  Omit<Schemas['Changed'], keyof Workbench> & { system?: Partial<Resolved> };
export type Resolved = Schemas['Resolved'];
export type Identity = Schemas['Identity'];
export type Mark = NonNullable<Identity['marks']>[number];
export type Choices = Schemas['Choices'];
export type Section = Schemas['Section'];
export type Page = Schemas['Page'];
export type Finding = Schemas['Finding'];
export type Fix = Schemas['Fix'];
export type Mending = Schemas['MendingCard'];
export type Measuring = Schemas['Measuring'];
export type RuleCard = Schemas['RuleCard'];
export type Checks = Schemas['Checks'];
export type Before = Schemas['Before'];
export type Preflight = Schemas['Preflight'];
export type Library = Schemas['Library'];
export type Pair = Schemas['Pair'];
export type Token = Schemas['Token'];
export type Conflict = Schemas['Conflict'];
export type BrandCard = Schemas['BrandCard'];
export type ReadColors = Schemas['ReadColors'];
export type Overlay = Schemas['Overlay'];
export type Focus = Schemas['Focus'];
export type Arranged = Schemas['Arranged'];
export type Answered = Schemas['Answered'];
export type Occurrence = Schemas['Occurrence'];
export type Offer = Schemas['OfferCard'];
export type MenuItem = Schemas['MenuItem'];
type Loose<Union> = Union extends unknown
  ? Pick<Union, Extract<keyof Union, 'do' | 'page' | 'section' | 'kind' | 'name'>> & Partial<Union>
  : never;
/** Something to be done to the structure of a site; what is left out is as the server has it by itself. */
export type Arrangement = Loose<Schemas['StructureRequestRequest']['operations'][number]>;

/** One operation of a JSON Patch (RFC 6902). */
export type Operation = {
  op: 'add' | 'replace' | 'remove' | 'move' | 'copy' | 'test';
  path: string;
  from?: string;
  value?: unknown;
};
/** A patch on one document. */
export type Change = { document: string; patch: Operation[] };
/** A change, and the revision that it was based on. */
export type Edit = Change & { revision: number };

/** An error that the server explained: `title` is a sentence for people, `code` is stable. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    title: string,
    readonly body: Record<string, unknown> = {},
  ) {
    super(title);
  }
}

function cookie(name: string): string {
  const found = document.cookie.split('; ').find((part) => part.startsWith(`${name}=`));
  return found ? decodeURIComponent(found.slice(name.length + 1)) : '';
}

export const client = createClient<paths>({ baseUrl: '', credentials: 'same-origin' });
client.use({
  onRequest({ request }) {
    if (request.method !== 'GET') request.headers.set('X-CSRFToken', cookie('csrftoken'));
    return request;
  },
});

type Answer<T> = { data?: T; error?: unknown; response: Response };

/** The data of an answer; throws a Problem for any other. */
export async function unwrap<T>(asked: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await asked;
  } catch {
    throw new Problem(0, 'unreachable', 'The server cannot be reached. Your last change is not saved yet; try again.');
  }
  if (answer.response.ok && answer.data !== undefined) return answer.data;
  throw problemOf(answer.response, answer.error);
}

/** What an answer that is no success says. */
export function problemOf(response: Response, error: unknown): Problem {
  const body = (error ?? {}) as Record<string, unknown>;
  const title = typeof body['title'] === 'string' ? body['title'] : 'The server could not do that. Try again.';
  const code = typeof body['code'] === 'string' ? body['code'] : 'unknown';
  return new Problem(response.status, code, title, body);
}

/** A JSON Pointer (RFC 6901) of its parts. */
export function pointer(...parts: (string | number)[]): string {
  return parts.map((part) => '/' + String(part).replaceAll('~', '~0').replaceAll('/', '~1')).join('');
}

export type Sources = Schemas['Sources'];
export type Fact = Schemas['Fact'];
export type FactRequest = Schemas['Request'];
export type Question = Schemas['Question'];
export type Planned = Schemas['Planned'];
export type Character = Schemas['Character'];

export type Effect = Schemas['Effect'];
export type ReachOfTokens = Schemas['ReachOfTokens'];
export type Picked = Schemas['Picked'];
export type PageManner = Schemas['PageManner'];
export type PaletteCard = Schemas['PaletteCard'];
export type StyleProposals = Schemas['StyleProposals'];
export type StylePart = StyleProposals['parts'][number]['id'];

export type Enquiry = Schemas['EnquiryCard'];
export type EnquiryState = Enquiry['state'];
export type FurtherLanguage = Schemas['FurtherLanguage'];
export type LanguageLine = Schemas['Line'];
