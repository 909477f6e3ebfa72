import styled from 'styled-components';

/** A file from this computer. */
export const FileBox = styled.input`
  min-height: 44px;
  max-width: 100%;
  &::file-selector-button {
    min-height: 44px;
    padding: 0 1rem;
    margin-inline-end: 0.8rem;
    font: inherit;
    font-weight: 700;
    cursor: pointer;
  }
`;
