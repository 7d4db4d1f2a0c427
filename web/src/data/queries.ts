/**
 * What the server owns, read through one cache fed by the endpoints. Views that follow one another share an answer for some seconds;
 * after any write everything counts as old, so that nobody sees what was before it.
 */
import type { AnswerOf, EndpointName } from '@fox-tempo/contract';
import { QueryClient, useQuery, type UseQueryResult } from '@tanstack/react-query';
import { all, notSignedIn, onWritten, pass, type Asked, type Item, type ProblemError } from './client.ts';

/** For so long an answer is as good as new, ms. */
const freshMs = 4000;

export const queryClient = new QueryClient({
  defaultOptions: { queries: { staleTime: freshMs, retry: false, networkMode: 'always', refetchOnWindowFocus: true } },
});
onWritten(() => void queryClient.invalidateQueries());

type ReadOf<K extends EndpointName> = Pick<Asked<K>, 'params' | 'query'>;

function one<K extends EndpointName>(name: K, asked: ReadOf<K>) {
  return {
    queryKey: ['one', name, asked.params ?? {}, asked.query ?? {}],
    queryFn: ({ signal }: { signal: AbortSignal }) => pass(name, { ...asked, signal }),
  };
}

function list<K extends EndpointName>(name: K, asked: ReadOf<K>) {
  return {
    queryKey: ['all', name, asked.params ?? {}, asked.query ?? {}],
    queryFn: ({ signal }: { signal: AbortSignal }) => all(name, { ...asked, signal }),
  };
}

/** Waits until it is known who is here; false where nobody is. Set by the session. */
let somebodyHere: () => Promise<boolean> = () => Promise.resolve(true);
export function askFirst(known: () => Promise<boolean>): void {
  somebodyHere = known;
}

/** A view that is about to give way to the sign-in page asks the server nothing. */
async function whenSomebodyIsHere<T>(ask: () => Promise<T>): Promise<T> {
  if (await somebodyHere()) return ask();
  throw notSignedIn();
}

/** For loaders: the answer of an endpoint, as it was some seconds ago or anew. */
export function read<K extends EndpointName>(name: K, asked: Asked<K> = {}): Promise<AnswerOf<K>> {
  const { params, query } = asked;
  return whenSomebodyIsHere(() => queryClient.query(one(name, { ...(params && { params }), ...(query && { query }) })));
}

/** For loaders: every page of a list. */
export function readAll<K extends EndpointName>(name: K, asked: Asked<K> = {}): Promise<Item<K>[]> {
  const { params, query } = asked;
  return whenSomebodyIsHere(() => queryClient.query(list(name, { ...(params && { params }), ...(query && { query }) })));
}

/** For components: the answer of an endpoint, kept up to date with every write of this page. */
export function useEndpoint<K extends EndpointName>(
  name: K,
  asked: ReadOf<K> = {},
  enabled = true,
): UseQueryResult<AnswerOf<K>, ProblemError> {
  return useQuery<AnswerOf<K>, ProblemError>({ ...one(name, asked), enabled }, queryClient);
}

export function useEndpointList<K extends EndpointName>(
  name: K,
  asked: ReadOf<K> = {},
): UseQueryResult<Item<K>[], ProblemError> {
  return useQuery<Item<K>[], ProblemError>(list(name, asked), queryClient);
}

/** What a loader has read, kept up to date with every write of this page; what a write answered is put in its place at once. */
export function useKept<K extends EndpointName>(
  name: K,
  loaded: AnswerOf<K>,
  asked: ReadOf<K> = {},
): readonly [AnswerOf<K>, (next: AnswerOf<K>) => void] {
  const { data } = useEndpoint(name, asked);
  return [data ?? loaded, (next) => void queryClient.setQueryData<AnswerOf<K>>(one(name, asked).queryKey, next)];
}

/** The same for every page of a list. */
export function useKeptList<K extends EndpointName>(
  name: K,
  loaded: readonly Item<K>[],
  asked: ReadOf<K> = {},
): readonly [readonly Item<K>[], (next: readonly Item<K>[]) => void] {
  const { data } = useEndpointList(name, asked);
  return [data ?? loaded, (next) => void queryClient.setQueryData(list(name, asked).queryKey, [...next])];
}

/** Adds what a write has answered before the next reading does. */
export function placeInCache<K extends EndpointName>(
  name: K,
  asked: ReadOf<K>,
  change: (before: AnswerOf<K>) => AnswerOf<K>,
): void {
  queryClient.setQueryData<AnswerOf<K>>(one(name, asked).queryKey, (before) => before && change(before));
}
