import { explainSeen, readRaw, readingsOf, type Explanation, type PlaceOfCause } from '@dialoga/core/lab';
import { useDeferredValue, useEffect, useId, useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { symptomOf, symptomOfSeen } from '@dialoga/core/symptom';
import { linkToLane } from '../findings/link';
import { useStateOf } from '../store/store';
import { Code, Input, TextButton } from '../theme/parts';
import { colour, font, size, space } from '../theme/tokens';
import { checker } from '../worker/checker';
import type { LabBegin } from './open-lab';

const Drawer = styled.aside`
  display: flex;
  flex-direction: column;
  gap: ${space[3]}px;
  min-height: 0;
  overflow: auto;
  padding: ${space[4]}px;
  border-left: 1px solid ${colour.edge};
  background: ${colour.sheet};
  header {
    display: flex;
    align-items: baseline;
    justify-content: space-between;
  }
  label {
    display: grid;
    grid-template-columns: 76px 1fr;
    gap: ${space[3]}px;
    align-items: center;
    color: ${colour.ink2};
  }
  input {
    font: 13px ${font.code};
  }
  ol {
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    padding: ${space[2]}px 0;
    border-bottom: 1px solid ${colour.hairline};
  }
  small {
    color: ${colour.ink2};
    font-size: ${size.data}px;
  }
`;

const Rows = styled.table`
  border-spacing: 0;
  width: 100%;
  font-size: ${size.data}px;
  th {
    color: ${colour.ink2};
    font-weight: 400;
    text-align: left;
  }
  td,
  th {
    padding: 2px ${space[3]}px 2px 0;
    border-bottom: 1px solid ${colour.hairline};
  }
  td:first-child {
    font: 13px ${font.code};
  }
`;

/** What was seen, read in every way; with what was expected, what would explain it, and where in this project. */
export function ValueLab({ begin, onClose }: { begin: LabBegin; onClose: () => void }) {
  const [seen, setSeen] = useState(begin.seen);
  const [expected, setExpected] = useState(begin.expected);
  const [asked, meant] = [useDeferredValue(seen), useDeferredValue(expected)];
  const title = useId();
  return (
    <Drawer
      aria-labelledby={title}
      onKeyDown={(event) => {
        if (event.key === 'Escape') onClose();
      }}
    >
      <header>
        <h2 id={title}>Value lab</h2>
        <TextButton onPress={onClose}>Close</TextButton>
      </header>
      <label>
        Seen
        <Input
          autoFocus
          placeholder="2.278E-41, 0000 3F80, 'UPPM'"
          value={seen}
          onChange={(event) => setSeen(event.target.value)}
        />
      </label>
      <label>
        Expected
        <Input
          placeholder="1.0, if it is known"
          value={expected}
          onChange={(event) => setExpected(event.target.value)}
        />
      </label>
      <div role="status">
        {asked.trim() === '' && (
          <p>
            What a device or a panel shows: bytes, registers, a number, or a text in quotes. With what was expected, the
            place in this project that would explain it is looked for.
          </p>
        )}
        {asked.trim() !== '' && meant.trim() === '' && <Readings text={asked} />}
        {asked.trim() !== '' && meant.trim() !== '' && <Explanations expected={meant} seen={asked} />}
      </div>
    </Drawer>
  );
}

function Readings({ text }: { text: string }) {
  const raw = readRaw(text);
  if (!raw.ok) {
    return (
      <p>
        {raw.found}. To read it in other ways it takes {raw.expected}; of a number that was seen, type what was
        expected.
      </p>
    );
  }
  const readings = readingsOf(raw.value);
  return (
    <>
      <p>
        {raw.value.bytes.length} {raw.value.bytes.length === 1 ? 'byte' : 'bytes'}:{' '}
        <Code>
          {Array.from(raw.value.bytes.slice(0, 16), (byte) => byte.toString(16).toUpperCase().padStart(2, '0')).join(
            ' ',
          )}
        </Code>
      </p>
      <Rows>
        <thead>
          <tr>
            <th>Value</th>
            <th>Type</th>
            <th>Order</th>
            <th>Why</th>
          </tr>
        </thead>
        <tbody>
          {readings.map(({ type, order, from, value, why }) => (
            <tr key={`${type} ${order} ${from}`}>
              <td>{value}</td>
              <td>{type}</td>
              <td>
                {order}
                {from > 0 && ', from the next register'}
              </td>
              <td>{why}</td>
            </tr>
          ))}
        </tbody>
      </Rows>
      {readings.length === 0 && <p>Nothing plausible can be read from it.</p>}
    </>
  );
}

function Explanations({ expected, seen }: { expected: string; seen: string }) {
  const found = explainSeen(expected, seen);
  if (typeof found === 'string') return <p>{found}.</p>;
  if (found.length === 0) {
    return <p>No order, type, scale or cut explains it: it may be another value. Look where it is read from.</p>;
  }
  return (
    <ol>
      {found.map((one) => (
        <li key={one.sentence}>
          <strong>{one.sentence}</strong> {one.detail && <small>{one.detail}</small>}
          <Places cause={one.cause} />
          <Symptom cause={one.cause} />
        </li>
      ))}
    </ol>
  );
}

/** What one sees on site where a value comes out so, with all that may be behind it. */
function Symptom({ cause }: { cause: Explanation['cause'] }) {
  const { project: address = '' } = useParams();
  const symptom = symptomOf(symptomOfSeen(cause) ?? '');
  if (!symptom) return null;
  return (
    <small>
      {' '}
      <Link to={`/p/${address}/symptoms/${symptom.id}`}>{symptom.words}</Link>: its causes
    </small>
  );
}

/** Causes that no walk of a lane shows, so that having found none says nothing. */
const NOT_SOUGHT: readonly Explanation['cause'][] = ['same', 'sign', 'scale', 'size', 'text'];

/** Lanes of this project whose walk comes out just so. */
function Places({ cause }: { cause: Explanation['cause'] }) {
  const { project: address = '' } = useParams();
  const project = useStateOf((s) => s.project.project);
  const [places, setPlaces] = useState<PlaceOfCause[] | null>(null);
  useEffect(() => {
    let current = true;
    void checker()
      .placesOfCause(cause)
      .then((found) => current && setPlaces(found));
    return () => {
      current = false;
    };
  }, [cause, project]);
  if (NOT_SOUGHT.includes(cause) || !places) return null;
  if (places.length === 0) return <p>None of the lanes that differ comes out like that.</p>;
  return (
    <>
      {places.map(({ exchange, lane, name, sentence }) => (
        <p key={lane}>
          <Link to={linkToLane(address, exchange, lane)}>{name}</Link> <small>{sentence}</small>
        </p>
      ))}
    </>
  );
}
