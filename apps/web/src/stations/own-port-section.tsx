import { editField, keepForSettingBack, PORT, setBack } from '@dialoga/core/fields';
import { childrenOf, type Station } from '@dialoga/core/model';
import { ownPorts } from '@dialoga/core/wiring';
import { typingNow } from '../entities/use-shown';
import styled from 'styled-components';
import { newId } from '../api/new-id';
import { useStateOf } from '../store/store';
import { Code, SectionHead, TextButton } from '../theme/parts';
import { colour, space } from '../theme/tokens';
import { rememberedName } from '../api/remembered-name';
import { formatWhen } from '../words/when';
import { useEdits } from '../store/use-edits';

const List = styled.ul`
  margin: 0;
  padding: 0;
  list-style: none;
  li {
    padding: ${space[2]}px 0;
    border-bottom: 1px solid ${colour.hairline};
  }
  p {
    color: ${colour.ink2};
  }
  button {
    text-decoration: underline;
    text-underline-offset: 3px;
  }
`;

/** On an engineer's computer: which adapter for which network, on which address, and why not the others. */
export function OwnPortSection({ station }: { station: Station }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const advice = ownPorts(project, station);
  const kept = childrenOf(project, 'setting', station.id).flatMap((setting) => {
    const port = setting.was ? project.get('port', setting.field.split(' ')[1] ?? '') : undefined;
    return port ? [{ setting, port }] : [];
  });
  return (
    <>
      <SectionHead>
        <h2>Adapter to use</h2>
        <p>which adapter to plug in where, and on which address</p>
      </SectionHead>
      {advice.length === 0 && <p>It has no adapter for a network yet.</p>}
      <List>
        {advice.map(({ network, port, address, toSet, why, others }) => (
          <li key={network.id}>
            <strong>{network.name}</strong>: {port ? port.name || 'the port' : 'no adapter'}
            {port?.recognised && ` (${port.recognised})`}
            {address !== '' && (
              <>
                {' '}
                on <Code>{address}</Code>
              </>
            )}
            , for {why}.
            {port && toSet && address !== '' && (
              <TextButton
                onPress={() => {
                  const said = { by: rememberedName(), at: new Date().toISOString() };
                  commit(`${port.name}: ${address}`, [
                    editField(PORT, 'network', port, network.name, typingNow(project)),
                    editField(PORT, 'address', { ...port, network: network.id }, address, typingNow(project)),
                    { changes: keepForSettingBack(project, port, newId(), said), problem: null },
                  ]);
                }}
              >
                Use this address
              </TextButton>
            )}
            {others.map((other) => (
              <p key={other.port.id}>
                Not {other.port.name || 'the other port'}
                {other.port.recognised && ` (${other.port.recognised})`}: {other.why}.
              </p>
            ))}
          </li>
        ))}
        {kept.map(({ setting, port }) => (
          <li key={setting.id}>
            To set back when the work is done: {port.name || 'the port'} had <Code>{setting.was}</Code>
            {setting.at && `, kept ${formatWhen(setting.at)}`}.{' '}
            <TextButton
              onPress={() => {
                const changes = setBack(project, port);
                if (changes) commit(`${port.name}: back to ${setting.was}`, [{ changes, problem: null }]);
              }}
            >
              Restore address
            </TextButton>
          </li>
        ))}
      </List>
    </>
  );
}
