import styled from 'styled-components';
import { colour } from '../../parts/tokens.js';

/** A sheet of paper of a report. */
export const Sheet = styled.section`
  min-height: 262mm;
  font-size: 15px;
  line-height: 1.4;
  & + & {
    margin-top: 12mm;
    padding-top: 8mm;
    border-top: 1px dashed ${colour('rule')};
  }
  h2 {
    margin: 6mm 0 2mm;
    font-size: 18px;
  }
  p {
    margin: 0 0 2mm;
  }
  table {
    width: 100%;
    border-collapse: collapse;
  }
  th,
  td {
    padding: 1.2mm 3mm 1.2mm 0;
    border-bottom: 1px solid ${colour('rule')};
    text-align: left;
    font-weight: 450;
  }
  thead th {
    color: ${colour('quiet')};
  }
  ul {
    margin: 0;
    padding-left: 5mm;
  }
  li {
    margin-bottom: 1.2mm;
  }
  .floor svg {
    max-height: 88mm;
  }
  .change {
    break-inside: avoid;
    margin-bottom: 3mm;
  }
  .change small {
    display: block;
    font-size: 13.5px;
    color: ${colour('quiet')};
  }
  @media print {
    min-height: 0;
    & + & {
      break-before: page;
      margin: 0;
      padding: 0;
      border: 0;
    }
    @page {
      size: A4;
      margin: 14mm;
    }
  }
  @media (max-width: 640px) {
    min-height: 0;
  }
`;
