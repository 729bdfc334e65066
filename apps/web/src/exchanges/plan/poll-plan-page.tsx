import { set } from '@dialoga/core/change';
import type { DevicePlan, ExchangePlan, PollRemedies } from '@dialoga/core/exchange';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { NothingHere } from '../../page/nothing-here';
import { SmallGrid } from '../../grid/small-grid';
import { useEdits } from '../../store/use-edits';
import { useStateOf } from '../../store/store';
import { Empty, PageTitle, Scroll, Section, SectionHead, TextButton } from '../../theme/parts';
import { checker } from '../../worker/checker';
import type { GridColumn } from '../../grid/types';
import { PlanPicture } from './plan-picture';

const COLUMNS: readonly GridColumn[] = [
  { id: 'n', title: 'Request', track: '64px', right: true },
  { id: 'frame', title: 'As sent', track: '140px' },
  { id: 'first', title: 'First, from 0', track: '92px', right: true },
  { id: 'count', title: 'Units', track: '92px', right: true },
  { id: 'bytes', title: 'Bytes', track: '64px', right: true },
  { id: 'bridged', title: 'Bridged', track: '76px', right: true },
  { id: 'ms', title: 'Takes, ms', track: '84px', right: true },
  { id: 'brings', title: 'Brings', track: 'minmax(200px, 1fr)' },
];

const ms = (value: number): string =>
  value > 0 && value < 0.1 ? String(Number(value.toPrecision(2))) : value.toFixed(value < 10 ? 2 : value < 100 ? 1 : 0);

/** How a caller asks for all that it reads, in the fewest and shortest requests, and whether its cadence holds. */
export function PollPlanPage() {
  const { project: projectId = '', exchange: id = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const [found, setFound] = useState<{ plan: ExchangePlan; remedies: PollRemedies | null } | 'none' | null>(null);
  useEffect(() => {
    let current = true;
    void checker()
      .pollPlan(id)
      .then((next) => current && setFound(next ?? 'none'));
    return () => {
      current = false;
    };
  }, [project, id]);
  const exchange = project.get('exchange', id);
  if (!exchange) {
    const back = { to: `/p/${projectId}/exchanges`, label: 'All exchanges' };
    return <NothingHere what="There is no such exchange." back={back} />;
  }
  const name = (station: string) => project.get('station', station)?.name ?? '';
  const plan = found !== null && found !== 'none' ? found.plan : null;
  const remedies = found !== null && found !== 'none' ? found.remedies : null;
  const requests = plan?.devices.reduce((sum, device) => sum + device.requests.length, 0) ?? 0;
  const setCadence = (cadence: number) =>
    commit(`${exchange.name}: every ${cadence} ms`, [
      { changes: [set('exchange', exchange, ['cadence'], cadence)], problem: null },
    ]);
  return (
    <>
      <PageTitle>
        <h1 dir="auto">{exchange.name}</h1>
        <p>
          {plan
            ? `poll plan: ${requests} requests, ${ms(plan.pass)} ms a poll cycle${plan.cadence === null ? ', asked on request' : `, due every ${plan.cadence} ms`}`
            : 'poll plan'}
        </p>
        <Link to={`/p/${projectId}/exchanges/${id}`} style={{ marginLeft: 'auto' }}>
          Both ends
        </Link>
      </PageTitle>
      <Scroll>
        {found === 'none' && (
          <Empty>
            No plan can be made: nobody calls, its protocol does not read tables of registers and bits by requests, or
            the settings of its line are not known yet.
          </Empty>
        )}
        {plan && plan.devices.length === 0 && (
          <Empty>Nothing is read by requests yet: type what the calling end asks for, and the plan stands here.</Empty>
        )}
        {plan && plan.holds !== null && plan.devices.length > 0 && (
          <Section aria-label="Whether the interval holds">
            <SectionHead>
              <h2>{plan.holds ? 'The interval holds' : `Every ${plan.cadence} ms cannot hold`}</h2>
              <p>
                {plan.holds
                  ? `${ms((plan.cadence ?? 0) - plan.pass)} ms are left in each poll cycle`
                  : `one poll cycle takes ${ms(plan.pass)} ms, ${ms(plan.pass - (plan.cadence ?? 0))} ms too long`}
                {typeof exchange.responseDelay !== 'number' && '; the response delay is not set, and counted as none'}
              </p>
            </SectionHead>
            {remedies && (
              <ul>
                <li>
                  an interval of {remedies.cadence} ms holds{' '}
                  <TextButton onPress={() => setCadence(remedies.cadence)}>Set it</TextButton>
                </li>
                {remedies.line && <li>a line at {remedies.line} holds, if every device on it takes that rate</li>}
                <li>
                  {remedies.delay === null
                    ? 'quicker answers alone do not: even without any response delay the poll cycle is too long'
                    : `answers within ${remedies.delay} ms hold`}
                </li>
              </ul>
            )}
          </Section>
        )}
        {plan?.devices.map((device) => (
          <Device key={`${device.device.id} ${device.table}`} device={device} name={name} />
        ))}
        {plan && plan.left > 0 && (
          <Section>
            <p>
              {plan.left === 1 ? '1 block is' : `${plan.left} blocks are`} left out: nothing is entered for it that can
              be read.
            </p>
          </Section>
        )}
      </Scroll>
    </>
  );
}

function Device({ device, name }: { device: DevicePlan; name: (station: string) => string }) {
  const { requests, names, cost, unit, table } = device;
  const title = `${name(device.device.station)}, ${table}`;
  const rows = requests.map((request, i) => ({
    id: String(i),
    height: 22,
    cells: [
      { text: String(i + 1), right: true },
      { text: request.frame, mono: true },
      { text: String(request.start), right: true, mono: true },
      { text: `${request.length} ${unit}`, right: true },
      { text: String(request.bytes), right: true },
      { text: request.bridged > 0 ? String(request.bridged) : '', right: true },
      { text: ms(request.ms), right: true },
      { text: request.items.map((item) => names[item] ?? '').join(', ') },
    ],
  }));
  const terms = cost.terms.map((term) => `${ms(term.ms)} ms ${term.name}`).join(' + ');
  return (
    <Section aria-label={title}>
      <SectionHead>
        <h2>{title}</h2>
        <p>
          a request costs {ms(cost.perRequest)} ms ({terms}), and {ms(cost.perUnit * (unit === 'bits' ? 8 : 1))} ms for{' '}
          {unit === 'bits' ? 'every 8 bits' : 'every register'}
        </p>
      </SectionHead>
      <PlanPicture device={device} />
      <SmallGrid label={`Requests to ${title}`} columns={COLUMNS} rows={rows} onEdit={() => undefined} />
    </Section>
  );
}
