import styled from 'styled-components';

/** A list of lines, each of words with what can be pressed beside them. */
export const Lines = styled.ul`
  margin: 0;
  padding: 0;
  list-style: none;
  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 16px;
    padding: 6px 0;
  }
`;
