import type { ReactNode } from 'react';
import { Tick } from '../forms/tick';
import { useTakeKey } from '../page/take-key';
import { BoxButton, Section, SectionHead } from '../theme/parts';
import { Row } from './list-import';

interface Props {
  /** what would become of the list */
  words: string;
  notes: ReactNode;
  /** something that can be left out or taken along */
  option: { label: string; checked: boolean; onChange: () => void } | null;
  /** null: there is nothing to take */
  onTake: (() => void) | null;
}

/** What a list would do, and taking it in. */
export function PreviewHead({ words, notes, option, onTake }: Props) {
  useTakeKey(onTake);
  return (
    <Section aria-label="Preview">
      <SectionHead>
        <h2>{words}</h2>
        <p>{notes}</p>
        <span style={{ marginLeft: 'auto' }}>
          <Row>
            {option && (
              <Tick isSelected={option.checked} onChange={option.onChange}>
                {option.label}
              </Tick>
            )}
            <BoxButton aria-keyshortcuts="Control+Enter" onPress={() => onTake?.()} isDisabled={onTake === null}>
              Import
            </BoxButton>
          </Row>
        </span>
      </SectionHead>
    </Section>
  );
}
