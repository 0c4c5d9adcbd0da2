import styled from 'styled-components';

/** Sentences one under the other, without marks. */
export const PlainList = styled.ul`
    list-style: none;
    margin: 6px 0 0;
    font-size: 12.5px;
    li + li {
        margin-top: 6px;
    }
`;
