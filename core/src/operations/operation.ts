/** The names of what stands in an address: `/jobs/:jobId` has `jobId`. */
type NamesIn<P extends string> = P extends `${infer Head}/${infer Rest}`
  ? NamesIn<Head> | NamesIn<Rest>
  : P extends `:${infer Name}.${string}`
    ? Name
    : P extends `:${infer Name}`
      ? Name
      : never;

/** What stands in the address of an operation. */
export type ParamsOf<P extends string> = { readonly [K in NamesIn<P>]: string };

export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

/** What every write carries: its own id, made by whoever sends it, and who does it. */
export interface WriteHead {
  readonly writeId: string;
  readonly by: string;
}

/** What is sent to nobody: an operation that has nothing of its own in its body or its query. */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type
export type Nothing = {};

/** One thing that the server does: its address, what is sent, what is answered. */
export interface Operation<
  P extends string = string,
  M extends Method = Method,
  Sent extends object = object,
  Answer = unknown,
> {
  readonly method: M;
  /** Below /api. */
  readonly path: P;
  /** Status of its answer. */
  readonly status: 200 | 201;
  /** It writes nothing and carries no head: a question too long for an address. */
  readonly asks?: boolean;
  /** The types of files that it answers with, or that it is sent. */
  readonly gives?: string;
  readonly takes?: readonly string[];
  /** No value: what it is sent beside its address, and what it answers with. */
  readonly types?: { readonly sent: Sent; readonly answer: Answer };
}

type More = Pick<Operation, 'asks' | 'gives' | 'takes'>;

const make =
  <M extends Method>(method: M, status: 200 | 201) =>
  <Answer, Sent extends object = Nothing>() =>
  <const P extends string>(path: P, more: More = {}): Operation<P, M, Sent, Answer> => ({
    method,
    path,
    status,
    ...more,
  });

/** Operations by what they do: read, make anew, change, take away. Answer first, then what is sent. */
export const reads = make('GET', 200);
export const adds = make('POST', 201);
export const changes = make('PUT', 200);
export const removes = make('DELETE', 200);
/** A question that is sent in a body. */
export const asks = make('POST', 200);
