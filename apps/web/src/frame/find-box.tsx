import type { Hit } from '@dialoga/core/find';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { ComboBox, Input, ListBox, ListBoxItem, Popover } from 'react-aria-components';
import { useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { linkToCell } from '../findings/link';
import { useStateOf } from '../store/store';
import { colour, font, size, space } from '../theme/tokens';
import { checker } from '../worker/checker';
import { useActions, useRoutesTo, type Action } from './actions';
import { useNewExchanges } from './new-exchanges';
import { useTablesOf } from './tables-of';
import { letGoOfFocus } from '../page/focus';
import { useKeys } from '../page/keys';

const KIND_WORDS: Record<Hit['kind'] | 'action', string> = {
  address: 'address',
  station: 'station',
  network: 'network',
  exchange: 'exchange',
  lane: 'lane',
  value: 'value',
  tag: 'tag',
  route: 'route',
  finding: 'finding',
  symptom: 'seen on site',
  action: 'do',
};

const Box = styled(ComboBox)`
  width: 100%;
  input {
    width: 100%;
    min-height: 26px;
    padding: 0 ${space[3]}px;
    border: 1px solid ${colour.edge};
    background: ${colour.sheet};
    color: ${colour.ink};
  }
`;

const List = styled(Popover)`
  width: 620px;
  max-width: calc(100vw - 32px);
  border: 1px solid ${colour.edge};
  background: ${colour.sheet};
  box-shadow: 0 2px 8px color-mix(in srgb, ${colour.ink} 20%, transparent);
  > div {
    max-height: 480px;
    overflow: auto;
    outline: none;
  }
`;

const Line = styled(ListBoxItem)`
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr) minmax(0, 1.2fr);
  gap: ${space[4]}px;
  align-items: baseline;
  min-height: 26px;
  padding: ${space[1]}px ${space[3]}px;
  cursor: pointer;
  outline: none;
  &[data-focused] {
    background: ${colour.sunk};
    box-shadow: inset 3px 0 ${colour.focus};
  }
  small {
    color: ${colour.ink2};
    font-size: ${size.data}px;
  }
  code {
    font: ${size.data}px ${font.code};
  }
  > * {
    overflow: hidden;
    white-space: nowrap;
    text-overflow: ellipsis;
  }
`;

const Nothing = styled.p`
  padding: ${space[3]}px;
  color: ${colour.ink2};
`;

type Found = { id: string; hit: Hit } | { id: string; action: Action };

/** Ctrl+K: any station, address in any notation, lane, value, finding or action, by a few characters. */
export function FindBox() {
  const { project: projectId = '' } = useParams();
  const navigate = useNavigate();
  const input = useRef<HTMLInputElement>(null);
  const ready = useStateOf((s) => s.findings.ready);
  const actions = useActions();
  const routesTo = useRoutesTo();
  const newExchanges = useNewExchanges();
  const tablesOf = useTablesOf();
  const [query, setQuery] = useState('');
  // While nothing is asked, an edit is nothing to it.
  const project = useStateOf((s) => (query === '' ? null : s.project.project));
  const [hits, setHits] = useState<{ of: string; list: Hit[] }>({ of: '', list: [] });
  // What Enter was pressed on before its hits had come: they are taken when they come.
  const awaited = useRef<string | null>(null);

  useKeys((event) => {
    if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'k') return;
    event.preventDefault();
    input.current?.focus();
    input.current?.select();
  }, 'also while typing');

  const took = useEffectEvent((of: string, list: Hit[]) => {
    if (of === query) setHits({ of, list });
  });
  useEffect(() => {
    if (query.trim() !== '' && ready)
      void checker()
        .find(query)
        .then((found) => took(query, found));
  }, [query, ready, project]);
  // Only once they are drawn: an Enter between their coming and that would wait for hits that had come.
  const drawn = useEffectEvent(() => {
    if (awaited.current !== null && awaited.current === hits.of) choose(foundIn(hits.list)[0]);
  });
  useEffect(() => drawn(), [hits]);

  const asked = query.trim().toLowerCase();
  const fitting =
    asked === ''
      ? []
      : [
          ...routesTo(asked),
          ...newExchanges(asked),
          ...tablesOf(asked),
          ...actions.filter((a) => a.label.toLowerCase().includes(asked)),
        ];
  const foundIn = (list: readonly Hit[]): Found[] => [
    ...list.map((hit, i) => ({ id: `hit ${i}`, hit })),
    ...fitting.map((action) => ({ id: `do ${action.label}`, action })),
  ];
  const found = asked === '' ? [] : foundIn(hits.list);

  function choose(one: Found | undefined) {
    awaited.current = null;
    setQuery('');
    if (!one || !project) return;
    if ('hit' in one || one.action.leads) letGoOfFocus();
    if ('action' in one) one.action.run();
    else if (one.hit.kind === 'symptom') void navigate(`/p/${projectId}/symptoms/${one.hit.symptom}`);
    else void navigate(linkToCell(project, projectId, one.hit.cell));
  }

  return (
    <Box
      aria-label="Find"
      inputValue={query}
      onInputChange={(text) => {
        awaited.current = null;
        setQuery(text);
      }}
      items={found}
      value={null}
      onChange={(key) => key !== null && choose(found.find((f) => f.id === key))}
      menuTrigger="input"
      allowsEmptyCollection={asked !== ''}
    >
      <Input
        ref={input}
        placeholder="Find   Ctrl+K"
        aria-keyshortcuts="Control+K"
        onKeyDown={(event) => {
          // Enter without having gone down the list takes the first of it.
          if (event.key !== 'Enter' || asked === '' || input.current?.getAttribute('aria-activedescendant')) return;
          if (hits.of === query) choose(found[0]);
          else awaited.current = query;
        }}
      />
      <List offset={2} placement="bottom end">
        <ListBox renderEmptyState={() => <Nothing>{ready ? `No match for “${query.trim()}”.` : 'Checking …'}</Nothing>}>
          {(one: Found) => {
            const [kind, text, detail] =
              'hit' in one
                ? [one.hit.kind, one.hit.text, one.hit.detail]
                : (['action', one.action.label, one.action.keys] as const);
            return (
              <Line id={one.id} textValue={`${text}, ${detail}`}>
                <small>{KIND_WORDS[kind]}</small>
                <span dir="auto">
                  {kind === 'address' || kind === 'value' || kind === 'tag' ? <code>{text}</code> : text}
                </span>
                <small dir="auto">{detail}</small>
              </Line>
            );
          }}
        </ListBox>
      </List>
    </Box>
  );
}
