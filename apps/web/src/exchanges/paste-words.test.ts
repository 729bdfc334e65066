import { pasteWords } from './paste-words';

const pasted = (block: string[][], problems: string[] = [], count = block.length) => {
  const headed = block[0]![0] === 'Name';
  const columns = block[0]!.map((heading) => (heading === 'Drawing' ? null : ('name' as const)));
  return { changes: [], count, tags: 0, problems, understood: { columns, rows: block.slice(headed ? 1 : 0), headed } };
};

test('one lane is one lane, and several are several', () => {
  const block = [['Speed', 'writes']];
  expect(pasteWords(pasted(block), 'lanes', block)).toMatch(/^1 lane pasted\./);
  expect(pasteWords(pasted(block, [], 4), 'lanes', block)).toMatch(/^4 lanes pasted\./);
});

test('headings are named as such, and columns without a place by their heading', () => {
  const block = [
    ['Name', 'Drawing', 'Address', 'Type'],
    ['Speed', 'E-17', '%MW100', 'INT'],
  ];
  const words = pasteWords(pasted(block), 'lanes', block);
  expect(words).toContain('The first line was taken as headings.');
  expect(words).toContain('Left out, with no place here: column “Drawing”.');
});

test('of many problems the first three are said and the rest counted; merged cells are told', () => {
  const block = [['Speed']];
  const words = pasteWords(pasted(block, ['a', 'b', 'c', 'd', 'e']), 'lanes', block, 2);
  expect(words).toContain('Kept as typed: a; b; c and 2 more.');
  expect(words).toContain('2 merged cells stand for each row that they span.');
  expect(pasteWords(pasted(block), 'lanes', block, 1)).toContain('1 merged cell stands for each row that it spans.');
});
