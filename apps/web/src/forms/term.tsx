import type { ReactNode } from 'react';
import { Focusable, Tooltip, TooltipTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { saidOver } from '../theme/said';
import { colour } from '../theme/tokens';

/** Words that the trade does not use everywhere, each in a sentence. */
const MEANINGS = {
  'Module assignments':
    'What a controller says of a module: whether it owns it or listens, where its inputs and outputs lie, and which revisions it accepts.',
  Views:
    'The ways in which the addresses of an area are written: their prefix, what they count, and from which number.',
  'Reserved ranges': 'Parts of a memory that something else takes: a communication module, the firmware.',
  Copies: 'Data that the station moves inside itself, from one of its places to another.',
  'Layout rule': 'In which order bytes, registers and bits of a value lie in its memory.',
  Blocker: 'It will not work, or will corrupt data.',
  Doubt: 'It may work, but somebody has to confirm it.',
  Hint: 'It works; it is worth knowing.',
} as const;

const Word = styled.span`
  border-bottom: 1px dotted ${colour.edge};
  cursor: help;
`;

const Said = styled(Tooltip)`
  ${saidOver}
`;

export type OwnWord = keyof typeof MEANINGS;

/** A control whose word is one of ours, explained when it has the focus or a pointer rests on it. */
export const Meant = ({ word, children }: { word: OwnWord; children: ReactNode }) => (
  <TooltipTrigger delay={500}>
    {children}
    <Said placement="bottom start" offset={4}>
      {MEANINGS[word]}
    </Said>
  </TooltipTrigger>
);

/** A word of ours in a text, explained in the same way. */
export const Term = ({ word }: { word: OwnWord }) => (
  <Meant word={word}>
    <Focusable>
      <Word role="term" tabIndex={0}>
        {word}
      </Word>
    </Focusable>
  </Meant>
);
