import { rankedCauses, SYMPTOMS } from '@dialoga/core/symptom';
import { useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { SmallGrid } from '../grid/small-grid';
import type { GridColumn } from '../grid/types';
import { useCounting } from '../store/checked';
import { useStateOf } from '../store/store';
import { Scroll, Section } from '../theme/parts';
import { colour } from '../theme/tokens';
import { SiteTitle } from './site-title';

const Quiet = styled.p`
  color: ${colour.ink2};
`;

const COLUMNS: readonly GridColumn[] = [
  { id: 'symptom', title: 'What is seen', track: 'minmax(280px, 1.2fr)' },
  { id: 'here', title: 'Found in this plan', track: '120px', right: true },
  { id: 'first', title: 'Likeliest here', track: 'minmax(320px, 1.6fr)' },
];

/** Everything that may be seen on site and means that something is wrong, with what is likeliest behind it here. */
export function SymptomsPage() {
  const { project: address = '' } = useParams();
  const navigate = useNavigate();
  const findings = useCounting();
  const ready = useStateOf((s) => s.findings.ready);
  const rows = SYMPTOMS.map((symptom) => {
    const ranked = rankedCauses(symptom, { findings });
    const open = ranked.filter((one) => one.findings.length > 0).length;
    const [first] = ranked;
    return {
      id: symptom.id,
      height: 26,
      cells: [
        {
          text: symptom.words,
          action: { label: symptom.words, run: () => void navigate(`/p/${address}/symptoms/${symptom.id}`) },
        },
        {
          text: !ready ? 'checking' : open === 0 ? 'none' : `${open} of ${ranked.length}`,
          right: true,
          muted: open === 0,
        },
        { text: first?.cause.says ?? '', muted: open === 0 },
      ],
    };
  });
  return (
    <>
      <SiteTitle>
        <Quiet>what is seen leads to its causes; Ctrl+K finds it by its words</Quiet>
      </SiteTitle>
      <Scroll>
        <Section aria-label="Symptoms">
          <SmallGrid label="What is seen on site" columns={COLUMNS} rows={rows} onEdit={() => undefined} />
        </Section>
      </Scroll>
    </>
  );
}
