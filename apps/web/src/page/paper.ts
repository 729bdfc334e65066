import styled from 'styled-components';
import { colour, font, space } from '../theme/tokens';

/** What goes to paper, A4 across: pages are counted, and what is only for the screen is left out. */
export const Paper = styled.div`
  flex: 1;
  min-height: 0;
  overflow: auto;
  padding: ${space[5]}px;
  @media print {
    overflow: visible;
    padding: 0;
    color: black;
  }
  @page {
    size: A4 landscape;
    margin: 12mm 10mm 14mm;
    @bottom-right {
      content: 'page ' counter(page) ' of ' counter(pages);
      font: 8pt sans-serif;
    }
  }
`;

/** Stands on the screen only. */
export const Tools = styled.p`
  display: flex;
  gap: ${space[5]}px;
  padding-bottom: ${space[4]}px;
  @media print {
    display: none;
  }
`;

/** A table whose head comes again on each page, and whose rows are not cut. */
export const Sheet = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: 8.5pt;
  thead {
    display: table-header-group;
  }
  tr {
    break-inside: avoid;
  }
  th,
  td {
    padding: 1.5pt 3pt;
    border-bottom: 0.5pt solid ${colour.hairline};
    text-align: left;
    vertical-align: top;
  }
  th {
    font-weight: 600;
    border-bottom-color: ${colour.ink};
  }
  .head th,
  .head td {
    font-weight: 400;
    border-bottom: 0;
  }
  .head h1 {
    display: inline;
  }
  .head h1,
  .head strong {
    font: 600 11pt ${font.serif};
  }
  .mono {
    font-family: ${font.code};
    font-size: 8pt;
  }
  .right {
    text-align: right;
    padding-right: 9pt;
  }
  .difference {
    border-left: 0.5pt solid ${colour.ink};
    border-right: 0.5pt solid ${colour.ink};
    white-space: nowrap;
  }
  .lane td {
    border-top: 0.5pt solid ${colour.ink};
    font-weight: 600;
  }
  small {
    display: block;
    font-weight: 400;
    font-size: 7.5pt;
  }
  .difference small {
    max-width: 34mm;
    white-space: normal;
  }
  @media print {
    th,
    td {
      border-color: #999;
    }
  }
`;
