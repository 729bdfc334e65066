import type { SheetMap } from '@dialoga/core/sheet';
import { useId, useState, type KeyboardEvent } from 'react';
import { useWidth } from '../../theme/use-width';
import { Drawing } from './map-styles';
import { BOX, HEIGHT, LEFT_TOP, RIGHT_TOP, RulerView, type Side } from './ruler-view';
import { scalesOf } from './scale';

interface Props {
  map: SheetMap;
  /** said instead where there is nothing to draw */
  nothing: string | null;
  label: string;
  /** strong until something is chosen on the map itself */
  strong: string | null;
  onZoomIn: (key: string) => void;
  onZoomOut: () => void;
  /** leads to the row that a box stands for */
  onShow: (side: Side, key: string) => void;
  onFold: () => void;
}

/** Two rulers to scale with what lies on them, and between them what goes where; a list to those who hear it. */
export function MapDrawing({ map, nothing, label, strong, onZoomIn, onZoomOut, onShow, onFold }: Props) {
  const id = useId();
  const [box, room] = useWidth<HTMLDivElement>(1000);
  const [last, setChosen] = useState<{ on: string; side: Side; key: string } | null>(null);
  // What was chosen on one level says nothing of another.
  const chosen = last?.on === label ? last : null;
  const choose = (side: Side, key: string) => setChosen({ on: label, side, key });
  const { left, right } = scalesOf(map, room);
  const at = chosen ?? { side: 'left' as const, key: strong ?? map.left.boxes[0]?.key ?? '' };
  const marked = chosen?.key ?? strong;
  const idOf = (side: Side, key: string) => `${id}-${side}-${key}`;

  function onKeyDown(event: KeyboardEvent) {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const { boxes } = map[at.side];
    const index = boxes.findIndex((b) => b.key === at.key);
    const go = (side: Side, key: string | undefined) => key !== undefined && choose(side, key);
    const other = at.side === 'left' ? 'right' : 'left';
    const steps: Record<string, () => void> = {
      ArrowRight: () => go(at.side, boxes[Math.min(index + 1, boxes.length - 1)]?.key),
      ArrowLeft: () => go(at.side, boxes[Math.max(index - 1, 0)]?.key),
      Home: () => go(at.side, boxes[0]?.key),
      End: () => go(at.side, boxes.at(-1)?.key),
      ArrowDown: () => go(other, (map[other].boxes.find((b) => b.key === at.key) ?? map[other].boxes[0])?.key),
      Enter: () => onZoomIn(at.key),
      Escape: onZoomOut,
      Backspace: onZoomOut,
      ' ': () => onShow(at.side, at.key),
      m: onFold,
    };
    const step =
      steps[event.key === 'ArrowUp' ? 'ArrowDown' : event.key.length === 1 ? event.key.toLowerCase() : event.key];
    if (!step) return;
    event.preventDefault();
    event.stopPropagation();
    step();
  }

  const links = [...map.links].sort((a, b) => Number(a.key === marked) - Number(b.key === marked));
  return (
    <Drawing
      ref={box}
      role={nothing ? 'group' : 'listbox'}
      aria-label={label}
      tabIndex={0}
      aria-activedescendant={map[at.side].boxes.some((b) => b.key === at.key) ? idOf(at.side, at.key) : undefined}
      onKeyDown={onKeyDown}
    >
      {nothing && <p>{nothing}</p>}
      <svg style={{ display: nothing ? 'none' : undefined }} viewBox={`0 0 ${room} ${HEIGHT}`} role="presentation">
        <defs>
          <pattern id={`${id}hatch`} width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <path d="M0 0v5" className="hatch" strokeWidth="2" />
          </pattern>
        </defs>
        {links.map(({ key, left: [a, b], right: [c, d], differs }) => (
          <path
            key={key}
            aria-hidden
            className={`link${key === marked ? ' strong' : ''}${differs ? ' differs' : ''}`}
            d={`M${left.start(a)} ${LEFT_TOP + BOX}H${left.end(b)}L${right.end(d)} ${RIGHT_TOP}H${right.start(c)}Z`}
          />
        ))}
        {(['left', 'right'] as const).map((side) => (
          <RulerView
            key={side}
            ruler={map[side]}
            side={side}
            scale={side === 'left' ? left : right}
            room={room}
            strong={marked}
            here={at.side === side}
            hatch={`${id}hatch`}
            idOf={idOf}
            onChoose={choose}
            onZoom={onZoomIn}
          />
        ))}
      </svg>
    </Drawing>
  );
}
