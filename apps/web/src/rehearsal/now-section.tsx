import { laneName } from '@dialoga/core/lane';
import { STIMULUS_FORMS } from '@dialoga/core/rehearse';
import type { LinkView } from '../api/client';
import { SmallGrid } from '../grid/small-grid';
import type { GridColumn, GridRow } from '../grid/types';
import { useStateOf } from '../store/store';
import { Section, SectionHead, TextButton } from '../theme/parts';
import { ageWords } from '../words/age';
import { useRunningExchange } from '../store/use-running-exchange';

const COLUMNS: readonly GridColumn[] = [
  { id: 'source', title: 'Value', track: 'minmax(160px, 1fr)' },
  {
    id: 'sent',
    title: 'Sent',
    track: 'minmax(150px, 1fr)',
    right: true,
    help: `As its source writes it; what is typed is set and held: 12.5, 16#1234, 2#1010, on, a text, or in the unit of a scaled tag. What moves is typed, too: ${STIMULUS_FORMS}.`,
  },
  { id: 'age', title: 'Age', track: '100px', right: true },
  { id: 'has', title: 'Has', track: 'minmax(150px, 1fr)' },
  { id: 'sink', title: 'Value', track: 'minmax(160px, 1fr)' },
];

/** The values of an exchange at both ends while it runs on stand-ins; what is typed at the source is set there. */
export function NowSection({ exchange }: { exchange: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const { view, links, set, act } = useRunningExchange(exchange);
  if (!view || !links) return null;
  const own = view.exchanges.find((one) => one.id === exchange);
  const rows = links.flatMap((link) => rowsOf(link, project.get('lane', link.lane)));
  return (
    <Section aria-label="Now, on stand-ins">
      <SectionHead>
        <h2>Now, on stand-ins</h2>
        <p>what is typed at its source is set and held there; Enter on it writes over it</p>
        {own?.waits && (
          <TextButton onPress={() => act({ what: 'release', id: exchange })}>Release its outputs</TextButton>
        )}
      </SectionHead>
      <SmallGrid
        label="Values at both ends"
        columns={COLUMNS}
        rows={rows}
        onEdit={(edits) =>
          edits.forEach(({ row, text }) => {
            const [link = '', key = ''] = row.split('|');
            set(link, key, text);
          })
        }
      />
    </Section>
  );

  function rowsOf(link: LinkView, lane: Parameters<typeof laneName>[1] | undefined): GridRow[] {
    const age = link.age === null ? 'never' : ageWords(link.age);
    const name = lane ? laneName(project, lane) : '';
    const values = link.values.map((value): GridRow => ({
      id: `${link.id}|${value.key}`,
      height: 24,
      cells: [
        { text: `${value.source || name} at ${link.source}` },
        { text: value.sent, mono: true, right: true, editable: true },
        link.onDemand
          ? {
              text: 'send now',
              right: true,
              action: {
                label: `Send ${value.source || name} now`,
                run: () => act({ what: 'send', id: link.id }),
              },
            }
          : { text: age, right: true, muted: true },
        { text: value.has, mono: true, differs: value.has !== value.sent && link.stopped !== null },
        { text: `${value.sink || name} at ${link.sink}` },
      ],
    }));
    if (link.stopped === null) return values;
    // Three truths, apart: they need not be one.
    const truths = [
      `${link.sink} has it ${link.sinkHas}`,
      `the program of ${link.source} believes: ${link.sourceBelieves}`,
      `the status says: ${link.statusSays}`,
      link.stopped,
    ];
    const told: GridRow = {
      id: `${link.id}|truths`,
      height: 28,
      tone: 'difference',
      cells: [{ text: truths.join(' · '), through: COLUMNS.length - 1 }, null, null, null, null],
    };
    return [...values, told];
  }
}
