/** The same around the controls that React Aria moves. */
import { FieldError, Label, Text } from 'react-aria-components';
import styled from 'styled-components';
import { hint, mistake, title } from './frame';

export const Title = styled(Label)`
  ${title}
`;
export const Hint = styled(Text)`
  ${hint}
`;
export const Mistake = styled(FieldError)`
  ${mistake}
`;
