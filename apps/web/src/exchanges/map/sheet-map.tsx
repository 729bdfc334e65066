import { laneName } from '@dialoga/core/lane';
import type { End, Exchange, Project } from '@dialoga/core/model';
import { exchangeMap, laneMap, valueMap, type MapRuler, type SheetMap } from '@dialoga/core/sheet';
import { useDeferredValue, useMemo } from 'react';
import { useChecked } from '../../store/checked';
import { TextButton } from '../../theme/parts';
import { steady } from '../../page/steady';
import { MapDrawing } from './map-drawing';
import { Beside, Frame } from './map-styles';
import { BOX, LEFT_TOP, RIGHT_TOP, type Side } from './ruler-view';
import type { Zoom } from './zoom';

const NONE: MapRuler = { range: '', length: 0, breaks: [], boxes: [], overlaps: [] };
const EMPTY: SheetMap = { left: NONE, right: NONE, links: [] };

interface Props {
  project: Project;
  exchange: Exchange;
  left: End;
  right: End;
  zoom: Zoom | null;
  /** the lane of the grid's cursor */
  lane: string | null;
  onZoom: (zoom: Zoom | null) => void;
  onShow: (side: Side, lane: string, key: string | null) => void;
  onFold: () => void;
}

/**
 * The map above the grid: both ends to scale; a lane opens into its values, a value into its bytes. It follows an edit a
 * moment later, so that it is never in the way of typing.
 */
export const SheetMapSection = steady(function SheetMapSection(props: Props) {
  const { zoom, lane, onZoom, onShow, onFold } = props;
  const lanes = useDeferredValue(useChecked().lanes);
  const project = useDeferredValue(props.project);
  const exchange = useDeferredValue(props.exchange);
  const left = useDeferredValue(props.left);
  const right = useDeferredValue(props.right);
  const zoomed =
    zoom && project.get('lane', zoom.lane)?.exchange === exchange.id ? project.get('lane', zoom.lane)! : null;
  const key = zoomed ? zoom?.key : undefined;
  const map = useMemo(() => {
    const ends = [left.id, right.id] as const;
    if (!zoomed) return exchangeMap(project, exchange, left, right, (id) => lanes.get(id)?.verdict);
    if (key === undefined) return laneMap(project, exchange, zoomed, ends, lanes.get(zoomed.id)?.differing ?? {});
    return valueMap(project, exchange, zoomed, ends, key);
  }, [project, exchange, left, right, lanes, zoomed, key]);

  const name = zoomed && laneName(project, zoomed);
  const value = zoomed && key ? valueName(project, zoomed.id, key) : null;
  const what = !zoomed ? 'Lanes' : key === undefined ? `Values of ${name}` : `Bytes of ${value ?? name}`;
  const out = () => onZoom(zoomed && key !== undefined ? { lane: zoomed.id } : null);
  return (
    <Frame>
      <Beside>
        <span style={{ top: 2 }}>
          {zoomed && (
            <>
              <TextButton onPress={() => onZoom(null)}>lanes</TextButton>
              {' › '}
              {key === undefined ? name : <TextButton onPress={() => onZoom({ lane: zoomed.id })}>{name}</TextButton>}
              {key !== undefined && ` › ${value ?? 'bytes'}`}
              {map?.rest && ` (${map.rest})`}
            </>
          )}
        </span>
        {map && (
          <>
            <code style={{ top: LEFT_TOP + BOX / 2 - 8 }} title={map.left.range}>
              {map.left.range}
            </code>
            <code style={{ top: RIGHT_TOP + BOX / 2 - 8 }} title={map.right.range}>
              {map.right.range}
            </code>
          </>
        )}
      </Beside>
      <MapDrawing
        map={map ?? EMPTY}
        nothing={
          map && map.left.boxes.length + map.right.boxes.length > 0 ? null : nothing(zoomed !== null, key !== undefined)
        }
        label={`Map. ${what}`}
        strong={zoomed ? null : lane}
        onZoomIn={(box) => {
          if (!zoomed) onZoom({ lane: box });
          else if (key === undefined) onZoom({ lane: zoomed.id, key: box });
        }}
        onZoomOut={out}
        onShow={(side, box) => (zoomed ? onShow(side, zoomed.id, key ?? box) : onShow(side, box, null))}
        onFold={onFold}
      />
    </Frame>
  );
});

function valueName(project: Project, lane: string, key: string): string | null {
  for (const id of project.referrers('claim', lane)) {
    const name = project.get('claim', id)?.items[key]?.name;
    if (name) return name;
  }
  return null;
}

function nothing(inLane: boolean, inValue: boolean): string {
  if (inValue) return 'Its bytes are not known at both ends yet, or it travels by its type and no byte has a place.';
  if (inLane) return 'What this lane holds is not known at both ends yet: an address, a length or a type is missing.';
  return 'A lane is drawn here as soon as it has an address and a length.';
}
