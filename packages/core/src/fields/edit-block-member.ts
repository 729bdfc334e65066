import { formatBits, lengthBits, parseLength } from '../place/length.js';
import type { Change } from '../change/change.js';
import { set } from '../change/make.js';
import type { BlockMember } from '../model/block-member.js';
import { orderAfter } from '../model/order.js';
import { ACCESSES, CALLING, MEMBER_USES, SIGNALS } from '../model/words.js';
import { changed, parseWord, parseYes, refused, type FieldEdit } from '../text/field-edit.js';
import type { MemberBlock } from '../profiles/member-block.js';

export type MemberColumn = 'name' | 'offset' | 'bits' | 'use' | 'role' | 'signal' | 'access' | 'atStart' | 'meaning';

/** A part of a reserved range as it is written: its distance from the start and its size, each with a unit. */
export const memberText = ({ wordBits }: MemberBlock, member: BlockMember, column: 'offset' | 'bits'): string =>
  formatBits(member[column], member[column] % wordBits === 0 ? wordBits : member[column] % 8 === 0 ? 8 : 1);

/** Typed text into one field of a part of a block, which is made with the first. */
export function editBlockMember(block: MemberBlock, key: string, column: MemberColumn, text: string): FieldEdit {
  const known = block.members?.[key];
  const last = Object.values(block.members ?? {}).reduce((end, m) => Math.max(end, m.offset + m.bits), 0);
  const member: BlockMember = known ?? {
    ...{ order: orderAfter(Object.values(block.members ?? {})), name: '', offset: last, bits: 1 },
    ...{ use: 'status', access: 'read' },
  };
  const store = (next: Partial<BlockMember>): FieldEdit =>
    block.members
      ? changed(setIn(block, ['members', key], { ...member, ...next }))
      : changed(setIn(block, ['members'], { [key]: { ...member, ...next } }));
  const clean = text.trim();
  switch (column) {
    case 'offset':
    case 'bits': {
      if (column === 'offset' && /^0(\s|$)/.test(clean)) return store({ offset: 0 });
      const length = parseLength(clean, block.wordBits);
      if (!length.ok) return refused(length);
      const bits = lengthBits(length.value);
      const end = column === 'offset' ? bits + member.bits : member.offset + bits;
      if (end <= block.length) return store({ [column]: bits });
      const expected = `the range is ${formatBits(block.length, block.wordBits)} long`;
      return refused({ found: `“${clean}” reaches beyond the range`, expected });
    }
    case 'use': {
      const use = parseWord(clean, MEMBER_USES, 'purpose');
      return use.ok ? store({ use: use.value }) : refused(use);
    }
    case 'role': {
      if (clean === '') return store({ role: null });
      const role = parseWord(clean, CALLING, 'role');
      return role.ok ? store({ role: role.value }) : refused(role);
    }
    case 'signal': {
      if (clean === '') return store({ signal: null });
      const signal = parseWord(clean, SIGNALS, 'way to set it');
      return signal.ok ? store({ signal: signal.value }) : refused(signal);
    }
    case 'access': {
      const access = parseWord(clean, ACCESSES, 'access');
      return access.ok ? store({ access: access.value }) : refused(access);
    }
    case 'atStart': {
      const yes = parseYes(clean);
      return yes.ok ? store({ atStart: yes.value || undefined }) : refused(yes);
    }
    default:
      return store({ [column]: clean });
  }
}

export const dropBlockMember = (block: MemberBlock, key: string): FieldEdit =>
  changed(setIn(block, ['members', key], undefined));

function setIn({ holder, path }: MemberBlock, at: readonly string[], value: unknown): Change {
  return holder.kind === 'area'
    ? set('area', holder.entity, [...path, ...at], value)
    : set('profile', holder.entity, [...path, ...at], value);
}
