import styled from 'styled-components';

const Svg = styled.svg`
  margin: 0 3px;
  fill: none;
  stroke: currentColor;
  stroke-width: 1.3;
`;

/** Text in which → is drawn: the fonts that ship hold no arrow. */
export function Arrowed({ text }: { text: string }) {
  const [before, ...rest] = text.split(' → ');
  return (
    <>
      {before}
      {rest.map((part, i) => (
        <span key={i}>
          <Svg width="14" height="8" viewBox="0 0 14 8" role="img" aria-label="to">
            <path d="M1 4h12M9.5 1L13 4 9.5 7" />
          </Svg>
          {part}
        </span>
      ))}
    </>
  );
}
