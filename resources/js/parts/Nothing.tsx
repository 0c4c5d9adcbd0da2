import styled from 'styled-components';

/** What stands where a list is empty: what is missing, and what to do next. */
export const Nothing = styled.p`
    font-size: 13.5px;
    color: var(--pencil);
    padding: 2px 0 8px;
`;
