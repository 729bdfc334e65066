import type { RouteObject } from 'react-router';
import { MemoryStorage } from '../store/storage.testing';
import { fetchPagesOnce } from './fetch-pages';

const session = new MemoryStorage();
Object.assign(globalThis, {
  sessionStorage: session,
  window: { requestIdleCallback: true },
  requestIdleCallback: (then: () => void) => queueMicrotask(then),
});
let fetched: string[] = [];
beforeEach(() => {
  session.clear();
  fetched = [];
});

function route(name: string, { broken = false, children }: { broken?: boolean; children?: RouteObject[] } = {}) {
  const lazy = () => {
    fetched.push(name);
    return broken ? Promise.reject(new Error('away')) : Promise.resolve({ Component: () => null });
  };
  return { path: name, lazy, ...(children ? { children } : {}) } as RouteObject;
}

test('every page is fetched, those within others too, and those that need no fetching are left', async () => {
  const tree = [route('a', { children: [route('b')] }), { path: 'plain', children: [route('c')] }];
  await fetchPagesOnce('build 1', tree);
  expect(fetched).toEqual(['a', 'b', 'c']);
});

test('once for a build: after a reload nothing is fetched, of a new build everything', async () => {
  await fetchPagesOnce('build 1', [route('a')]);
  await fetchPagesOnce('build 1', [route('a')]);
  expect(fetched).toEqual(['a']);
  await fetchPagesOnce('build 2', [route('a')]);
  expect(fetched).toEqual(['a', 'a']);
});

test('one that cannot be fetched stops no other, and all are tried again next time', async () => {
  const tree = () => [route('a', { broken: true }), route('b')];
  await fetchPagesOnce('build 1', tree());
  expect(fetched).toEqual(['a', 'b']);
  await fetchPagesOnce('build 1', tree());
  expect(fetched).toEqual(['a', 'b', 'a', 'b']);
});
