import { newEnd } from '@dialoga/core/create';
import { pagesOf, withPage } from './pages';

const ends = ['a', 'b', 'c'].map((id, i) => newEnd(id, i, 'x', `s${id}`, null, 'calls'));
const shown = (search: string, linked: string | null = null) => {
  const pages = pagesOf(ends, new URLSearchParams(search), linked);
  return pages && pages.left.id + pages.right.id;
};

test('the first two, or those that the address names; never one end twice', () => {
  expect(shown('')).toBe('ab');
  expect(shown('left=b')).toBe('ba');
  expect(shown('right=c')).toBe('ac');
  expect(shown('right=a')).toBe('ba');
  expect(shown('left=c&right=c')).toBe('ca');
  expect(shown('left=gone')).toBe('ab');
  expect(pagesOf(ends.slice(0, 1), new URLSearchParams(), null)).toBeNull();
});

test('a link to an end that is not shown brings it to the right', () => {
  expect(shown('', 'c')).toBe('ac');
  expect(shown('', 'b')).toBe('ab');
  expect(shown('left=c', 'b')).toBe('cb');
});

test('choosing an end for one page; the one that stands on the other exchanges them', () => {
  const pages = pagesOf(ends, new URLSearchParams(), null)!;
  const after = (side: 'left' | 'right', end: string) => {
    const search = withPage(new URLSearchParams('at=claim:of-b:type&zoom=l'), pages, side, end);
    // A cell of the end that gives way would lead back to it.
    expect([search.get('at'), search.get('zoom')]).toEqual([null, 'l']);
    return shown(search.toString());
  };
  expect(after('right', 'c')).toBe('ac');
  expect(after('right', 'a')).toBe('ba');
  expect(after('left', 'b')).toBe('ba');
});
