import type { MapRuler } from '@dialoga/core/sheet';
import { BREAK, type Scale } from './scale';

export type Side = 'left' | 'right';

export const BOX = 16;
export const LEFT_TOP = 22;
export const RIGHT_TOP = 68;
export const HEIGHT = 104;

/** px that a character of a label takes, about */
const CHARACTER = 6.4;
const GAP = 8;

interface Props {
  ruler: MapRuler;
  side: Side;
  scale: Scale;
  /** px of the whole line */
  room: number;
  /** the key of what is strong */
  strong: string | null;
  /** whether the strong one is where the keys are */
  here: boolean;
  hatch: string;
  idOf: (side: Side, key: string) => string;
  onChoose: (side: Side, key: string) => void;
  onZoom: (key: string) => void;
}

/** One end of the map: its line, what lies on it, and the names of what has room for one. */
export function RulerView({ ruler, side, scale, room, strong, here, hatch, idOf, onChoose, onZoom }: Props) {
  const top = side === 'left' ? LEFT_TOP : RIGHT_TOP;
  const middle = top + BOX / 2;
  const labelled = labelsOf(ruler, scale, room, strong);
  return (
    <g role="group" aria-label={side === 'left' ? 'left page' : 'right page'} className={side}>
      <path d={`M0 ${middle}H${room}`} className="line" aria-hidden />
      {ruler.breaks.map((at) => {
        const x = scale.start(at) - BREAK;
        return (
          <g key={at} aria-hidden>
            <rect x={x} y={middle - 6} width={BREAK} height={12} className="gap" />
            <path d={`M${x + 2} ${middle + 5}l4 -10M${x + 8} ${middle + 5}l4 -10`} className="line" />
          </g>
        );
      })}
      {ruler.boxes.map((box) => {
        const x = scale.start(box.from);
        const width = Math.max(2, scale.end(box.to) - x);
        const chosen = box.key === strong;
        return (
          <g
            key={box.key}
            id={idOf(side, box.key)}
            role="option"
            aria-selected={chosen && here}
            aria-label={box.detail}
            className={`box${chosen ? ' strong' : ''}${box.differs ? ' differs' : ''}`}
            onMouseDown={() => onChoose(side, box.key)}
            onDoubleClick={() => onZoom(box.key)}
          >
            <title>{box.detail}</title>
            <rect x={x} y={top} width={width} height={BOX} />
            {side === 'right' && width > 7 && (
              <rect x={x + 2.5} y={top + 2.5} width={width - 5} height={BOX - 5} className="inner" />
            )}
            {chosen && here && <rect x={x - 2} y={top - 2} width={width + 4} height={BOX + 4} className="focus" />}
          </g>
        );
      })}
      {ruler.overlaps.map((overlap, i) => (
        <rect
          key={i}
          aria-hidden
          className="twice"
          x={scale.start(overlap.from)}
          y={top}
          width={Math.max(2, scale.end(overlap.to) - scale.start(overlap.from))}
          height={BOX}
          style={{ fill: `url(#${hatch})` }}
        >
          <title>{overlap.detail}</title>
        </rect>
      ))}
      {labelled.map(({ key, text, x }) => (
        <text
          key={key}
          x={x}
          y={side === 'left' ? top - 7 : top + BOX + 14}
          className={key === strong ? 'strong' : ''}
          aria-hidden
        >
          {text}
        </text>
      ))}
    </g>
  );
}

interface Label {
  key: string;
  text: string;
  x: number;
  /** px after its end, with a gap */
  end: number;
}

/**
 * The names of what has room for one: with the address where that fits before the next, moved along under its own box
 * where the one before it is long. The strong one comes first.
 */
function labelsOf(ruler: MapRuler, scale: Scale, room: number, strong: string | null): Label[] {
  const label = (i: number, from: number): Label => {
    const box = ruler.boxes[i]!;
    const next = ruler.boxes[i + 1];
    const own = Math.max(from, scale.start(box.from));
    const whole = box.address === box.label ? box.label : `${box.label} ${box.address}`;
    const fits = own + whole.length * CHARACTER + GAP <= (next ? scale.start(next.from) : room);
    const text = fits || box.key === strong ? whole : box.label;
    const x = Math.max(0, Math.min(own, room - text.length * CHARACTER));
    return { key: box.key, text, x, end: x + text.length * CHARACTER + GAP };
  };
  const chosen = ruler.boxes.findIndex((box) => box.key === strong);
  const first = chosen < 0 ? null : label(chosen, 0);
  const placed: Label[] = first ? [first] : [];
  let free = 0;
  ruler.boxes.forEach((box, i) => {
    if (i === chosen) return;
    const next = label(i, free);
    const meets = first && next.x < first.end && first.x < next.end;
    const beside = Math.max(scale.end(box.to), scale.start(box.from) + next.end - next.x);
    if (meets || next.x < free || next.end - GAP > beside) return;
    placed.push(next);
    free = next.end;
  });
  return placed;
}
