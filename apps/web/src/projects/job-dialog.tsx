import { problemSentence } from '@dialoga/core/model';
import { useEffect, useEffectEvent, useState } from 'react';
import { Dialog, Heading, ProgressBar } from 'react-aria-components';
import styled from 'styled-components';
import { api, ApiError, type JobView } from '../api/client';
import { Overlay, Panel } from '../page/overlay';
import { BoxButton } from '../theme/parts';
import { colour, font, space } from '../theme/tokens';

const POLL_MS = 200;

const Track = styled.div`
  height: 4px;
  margin: ${space[3]}px 0 ${space[5]}px;
  border-bottom: 1px solid ${colour.edge};
  div {
    height: 100%;
    background: ${colour.ink};
  }
`;

const Problems = styled.ul`
  max-height: 260px;
  overflow: auto;
  margin: ${space[3]}px 0;
  font: 12px/1.4 ${font.code};
  overflow-wrap: anywhere;
`;

interface Props {
  title: string;
  /** starts the work; gives its job */
  start: () => Promise<{ job: string }>;
  onDone: (project: string) => void;
  onClose: () => void;
}

/** Long work of the server: how far it is, a way to stop it, and where it failed, why. */
export function JobDialog({ title, start, onDone, onClose }: Props) {
  const [job, setJob] = useState<{ id: string; view: JobView | null } | null>(null);
  const [failure, setFailure] = useState<{ message: string; lines: string[] } | null>(null);
  const done = useEffectEvent(onDone);
  const begin = useEffectEvent(start);

  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let open = true;
    const fail = (error: unknown) => {
      const lines = error instanceof ApiError ? error.problems.map(problemSentence) : [];
      if (open) setFailure({ message: error instanceof Error ? error.message : String(error), lines });
    };
    const follow = async (id: string): Promise<void> => {
      const view = await api.job(id);
      if (!open) return;
      setJob({ id, view });
      if (view.state === 'running') timer = setTimeout(() => void follow(id).catch(fail), POLL_MS);
      else if (view.project !== null) done(view.project);
      else setFailure({ message: view.message ?? '', lines: view.problems.map(problemSentence) });
    };
    begin()
      .then(({ job: id }) => follow(id))
      .catch(fail);
    return () => {
      open = false;
      clearTimeout(timer);
    };
  }, []);

  const { step, done: count = 0, total = 0 } = job?.view ?? { step: 'sending' };
  const percent = total > 0 ? (100 * count) / total : 0;
  return (
    <Overlay isOpen>
      <Panel>
        <Dialog>
          <Heading slot="title" level={2}>
            {title}
          </Heading>
          {failure ? (
            <div role="alert">
              <p>{failure.message}</p>
              <Problems>
                {failure.lines.map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </Problems>
              <BoxButton autoFocus onPress={onClose}>
                Close
              </BoxButton>
            </div>
          ) : (
            <>
              <ProgressBar aria-label={title} value={percent}>
                <p role="status">
                  {step}
                  {total > 1 ? `, ${count.toLocaleString('en-GB')} of ${total.toLocaleString('en-GB')}` : ' …'}
                </p>
                <Track>
                  <div style={{ width: `${percent}%` }} />
                </Track>
              </ProgressBar>
              <BoxButton autoFocus isDisabled={!job} onPress={() => job && void api.stopJob(job.id)}>
                Stop
              </BoxButton>
            </>
          )}
        </Dialog>
      </Panel>
    </Overlay>
  );
}
