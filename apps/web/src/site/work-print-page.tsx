import { Link, useParams } from 'react-router';
import { Paper, Sheet, Tools } from '../page/paper';
import { useStateOf } from '../store/store';
import { BoxButton } from '../theme/parts';
import { formatWhen } from '../words/when';
import { useWork } from './use-work';
import { afterWords, byWords } from './work-rows';

/** The order of work on paper, with room for a hand to tick and sign. */
export function WorkPrintPage() {
  const { project: address = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const revision = useStateOf((s) => s.project.revision);
  const work = useWork();
  if (!work) return null;
  const numbers = new Map(work.steps.map(({ key, number }) => [key, number]));
  return (
    <Paper>
      <Tools>
        <BoxButton onPress={() => window.print()}>Print</BoxButton>
        <Link to={`/p/${address}/site/work`}>Back to the order of work</Link>
      </Tools>
      <Sheet aria-label="Order of work">
        <thead>
          <tr className="head">
            <th colSpan={6}>
              <h1>Order of work</h1> {project.info.name}, revision {revision}, {formatWhen(new Date().toISOString())}
            </th>
          </tr>
          <tr>
            <th>Step</th>
            <th>What is done</th>
            <th>Ready</th>
            <th>After</th>
            <th>What proves it</th>
            <th>By</th>
          </tr>
        </thead>
        <tbody>
          {work.steps.map((step) => (
            <tr key={step.key}>
              <td>{step.number}</td>
              <td>
                {step.what}
                {step.effect && `: ${step.effect}`}
              </td>
              <td>{step.needs.map(({ what }) => what).join('; ')}</td>
              <td>{afterWords(step, numbers)}</td>
              <td>{step.proof}</td>
              <td>{byWords(step)}</td>
            </tr>
          ))}
        </tbody>
      </Sheet>
    </Paper>
  );
}
