import { set } from '@dialoga/core/change';
import { editField, LANE, TAG } from '@dialoga/core/fields';
import { BINDINGS, childrenOf, POLARITIES, SIGNAL_KINDS, type Project } from '@dialoga/core/model';
import { pointRows, type PointRow } from '@dialoga/core/tags';
import type { FieldEdit } from '@dialoga/core/text';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useWrongCells } from '../../findings/use-wrong-cells';
import { NothingHere } from '../../page/nothing-here';
import { Grid } from '../../grid/grid';
import type { GridColumn, GridRow } from '../../grid/types';
import { typingNow } from '../../entities/use-shown';
import { useTableOf } from '../../grid/use-table';
import { useStateOf } from '../../store/store';
import { Empty, PageTitle } from '../../theme/parts';
import { TruthTable } from './truth-table';

const COLUMNS: readonly GridColumn[] = [
  { id: 'name', title: 'Point', names: true, track: 'minmax(140px, 1.2fr)' },
  { id: 'signal', title: 'Signal', track: '104px' },
  { id: 'asks', title: 'Refers to', names: true, track: 'minmax(110px, 0.8fr)' },
  { id: 'binding', title: 'Bound', track: '92px' },
  { id: 'station', title: 'Station asked', names: true, track: '150px' },
  { id: 'usual', title: 'Usual table', track: '118px' },
  { id: 'element', title: 'Element', track: '116px' },
  { id: 'contact', title: 'Contact', track: '112px' },
  { id: 'mine', title: 'Here', track: '112px' },
  { id: 'theirs', title: 'There', track: '112px' },
];

/** The points of a tag map: what each is, by what it is found, what suits it, and which way round it is. */
export function PointsPage() {
  const { project: projectId = '', exchange: id = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const tableOf = useTableOf();
  const [wrongTag, wrongClaim] = [useWrongCells('tag'), useWrongCells('claim')];
  const [at, setAt] = useState<string | null>(null);
  const exchange = project.get('exchange', id);
  const points = useMemo(() => (exchange ? pointRows(project, exchange) : []), [project, exchange]);
  if (!exchange) {
    const back = { to: `/p/${projectId}/exchanges`, label: 'All exchanges' };
    return <NothingHere what="There is no such exchange." back={back} />;
  }
  const rowFor = (point: PointRow): GridRow => {
    const { caller, mine, theirs, binding } = point;
    const claim = caller?.claim;
    const known = (text: string, more = {}) => ({ text, editable: true, ...more });
    return {
      id: point.lane.id,
      height: 24,
      edit: (now, column, text) => edited(now, point, column, text),
      cells: [
        { text: point.name },
        mine
          ? known(mine.signal ?? '', {
              options: SIGNAL_KINDS,
              show: point.signal ?? 'not known',
              muted: !mine.signal,
              differs: wrongTag(mine.id, 'signal'),
            })
          : { text: '' },
        claim
          ? known(claim.toldPlace ?? '', {
              show: point.asks,
              muted: !claim.toldPlace,
              mono: binding !== 'by name',
              differs: wrongClaim(claim.id, 'toldPlace') || (mine !== undefined && wrongTag(mine.id, 'name')),
            })
          : { text: '' },
        known(point.lane.binding ?? '', {
          show: binding ?? 'by address',
          options: BINDINGS,
          muted: !point.lane.binding,
        }),
        claim
          ? known(claim.toldStation ?? '', { mono: true, differs: wrongClaim(claim.id, 'toldStation') })
          : { text: '' },
        { text: point.usual ?? '', muted: point.usual === point.table, differs: differsFrom(point) },
        mine
          ? known(mine.element ?? '', {
              options: point.elements,
              show: mine.element ?? point.elements[0] ?? '',
              muted: !mine.element,
              differs: wrongTag(mine.id, 'element'),
            })
          : { text: '' },
        known(point.lane.contact ?? '', { options: POLARITIES }),
        mine
          ? known(mine.polarity ?? '', { options: POLARITIES, differs: wrongTag(mine.id, 'polarity') })
          : { text: '' },
        theirs
          ? known(theirs.polarity ?? '', { options: POLARITIES, differs: wrongTag(theirs.id, 'polarity') })
          : { text: '' },
      ],
    };
  };
  function edited(now: Project, { lane, caller, mine, theirs }: PointRow, column: number, text: string): FieldEdit[] {
    const claim = caller && now.get('claim', caller.claim.id);
    const known = now.get('lane', lane.id);
    const tag = (which: typeof mine, field: 'signal' | 'element' | 'polarity') => {
      const one = which && now.get('tag', which.id);
      return one ? [editField(TAG, field, one, text, typingNow(now))] : [];
    };
    const said = (field: 'toldPlace' | 'toldStation') =>
      claim ? [{ changes: [set('claim', claim, [field], text.trim() || null)], problem: null }] : [];
    const ofLane = (field: 'binding' | 'contact') =>
      known ? [editField(LANE, field, known, text, typingNow(now))] : [];
    switch (COLUMNS[column]?.id) {
      case 'signal':
        return tag(mine, 'signal');
      case 'element':
        return tag(mine, 'element');
      case 'mine':
        return tag(mine, 'polarity');
      case 'theirs':
        return tag(theirs, 'polarity');
      case 'asks':
        return said('toldPlace');
      case 'station':
        return said('toldStation');
      case 'binding':
        return ofLane('binding');
      case 'contact':
        return ofLane('contact');
      default:
        return [];
    }
  }
  const chosen = points.find((point) => point.lane.id === at);
  const table = tableOf({ label: 'Edit a point', columns: COLUMNS, rows: points.map(rowFor) });
  return (
    <>
      <PageTitle>
        <h1 dir="auto">{exchange.name}</h1>
        <p>its points: what each is, by what it is found, and which way round it is</p>
        <Link to={`/p/${projectId}/exchanges/${id}`} style={{ marginLeft: 'auto' }}>
          Both ends
        </Link>
      </PageTitle>
      {points.length === 0 && (
        <Empty>
          No point is bound yet. Match the two lists under Tags
          {childrenOf(project, 'end', id).length > 0 && ', and accept those that match'}.
        </Empty>
      )}
      <Grid label={`Points of ${exchange.name}`} main {...table} onCursor={({ row }) => setAt(row)} />
      {chosen && <TruthTable point={chosen} />}
    </>
  );
}

const differsFrom = ({ usual, table }: PointRow): boolean =>
  usual !== null && table !== null && table !== usual && table !== 'holding registers';
