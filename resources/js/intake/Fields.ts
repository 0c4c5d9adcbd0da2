import styled from 'styled-components';

/** Twelve columns, most fields three wide. */
export const Fields = styled.div`
    display: grid;
    grid-template-columns: repeat(12, minmax(0, 1fr));
    gap: 15px 22px;
    padding: 4px 0 8px;
    > * {
        grid-column: span 3;
    }
    > .half {
        grid-column: span 6;
    }
    > .whole {
        grid-column: 1 / -1;
    }
    @media (max-width: 560px) {
        > *,
        > .half {
            grid-column: span 6;
        }
    }
`;
