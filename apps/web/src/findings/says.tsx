import type { Piece } from '@dialoga/core/finding';
import { Differs } from '../theme/parts';

/** A sentence of a finding with its disagreeing value underlined. */
export function Says({ pieces }: { pieces: readonly Piece[] }) {
  return (
    <span dir="auto">
      {pieces.map((piece, i) =>
        piece.differs ? <Differs key={i}>{piece.text}</Differs> : <span key={i}>{piece.text}</span>,
      )}
    </span>
  );
}
