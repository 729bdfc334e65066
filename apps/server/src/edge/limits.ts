/** Bytes of a body that the thread that answers reads by itself; what is larger goes to another thread. */
export const MOST_SMALL_BODY = 64 * 1024;
/** Bytes of a change set, and of a project file, inflated. */
export const MOST_CHANGES_BODY = 32 * 1024 * 1024;
export const MOST_FILE_BODY = 128 * 1024 * 1024;
/** Large bodies that are received at once: what each may hold in memory is known, so this bounds the whole. */
export const MOST_LARGE_CHANGES = 4;
export const MOST_LARGE_FILES = 2;
/** Bytes of the change sets that go along with the news of their revisions: what is larger is announced, and fetched. */
export const MOST_NEWS_BODY = 16 * 1024;
/** Changes of a set that the thread that answers looks through by itself. */
export const MOST_SMALL_CHANGES = 100;
/** Bytes of an entity, and of all that a change set touches, that it reads by itself. */
export const MOST_SMALL_ENTITY = 32 * 1024;
export const MOST_SMALL_ENTITIES = 512 * 1024;
/** Values (numbers, texts, lists, objects) in a change set, and in a project file. */
export const MOST_CHANGES_VALUES = 3_000_000;
export const MOST_FILE_VALUES = 8_000_000;
/** Bytes of compressed answers that are made and not yet read, in all. */
export const MOST_ANSWER_BYTES = 128 * 1024 * 1024;
/** Projects on one server. */
export const MOST_PROJECTS = 2000;
/** Connections at once, and streams of news: in all, and of one caller. */
export const MOST_CONNECTIONS = 1000;
export const MOST_STREAMS = 500;
export const MOST_STREAMS_OF_ONE = 60;
/** ms without a byte going either way after which a connection is given up; ms that a request may take to arrive. */
export const SILENT_MS = 30_000;
export const ARRIVE_MS = 120_000;
/** ms that a large change set may take: so long nothing goes over its connection. */
export const LONG_COMMIT_MS = 5 * 60_000;
