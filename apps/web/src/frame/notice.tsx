import styled from 'styled-components';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch, useStateOf } from '../store/store';
import { TextButton } from '../theme/parts';
import { colour, space } from '../theme/tokens';

const Line = styled.div`
  display: flex;
  justify-content: space-between;
  gap: ${space[5]}px;
  padding: ${space[2]}px ${space[4]}px;
  border-top: 1px solid ${colour.edge};
  border-left: 4px solid ${colour.differs};
  background: ${colour.sheet};
`;

/** What became of the last edit, where it was not simply taken: a sentence with what was found and what would be right. */
export function Notice() {
  const notice = useStateOf((s) => s.project.notice);
  const dispatch = useAppDispatch();
  return (
    <div role="status" aria-live="polite">
      {notice !== null && (
        <Line>
          <span dir="auto">{notice}</span>
          <TextButton onPress={() => dispatch(projectSlice.actions.noticed(null))}>Close</TextButton>
        </Line>
      )}
    </div>
  );
}
