import type { End, Exchange } from '@dialoga/core/model';
import { PageHead } from './page-head';
import { Heads } from './sheet-styles';
import type { SheetAddress } from './use-sheet-address';

interface Props {
  exchange: Exchange;
  address: SheetAddress;
  pages: { left: End; right: End };
}

/** The heads of both pages: whose each is, and what that end was told. */
export const PageHeads = ({ exchange, address, pages }: Props) => (
  <Heads>
    {(['left', 'right'] as const).map((side) => (
      <PageHead
        key={side}
        {...{ exchange, side, ends: address.ends, end: pages[side] }}
        onChoose={(end) => address.choosePage(side, end)}
      />
    ))}
  </Heads>
);
