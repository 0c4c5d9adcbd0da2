import { useState } from 'react';
import styled from 'styled-components';
import { TextField } from '../parts/fields';
import { Sheet } from '../parts/Sheet';
import { useAsk } from '../parts/useAsk';

const Row = styled.div`
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) minmax(0, 2.4fr);
    gap: 10px 22px;
    padding-bottom: 6px;
    .said {
        font-size: 13px;
        min-height: 42px;
        align-self: end;
    }
    @media (max-width: 560px) {
        grid-template-columns: minmax(0, 1fr);
    }
`;

/** Two figures from anywhere: by how many percent, of which, both ways round. */
export function FiguresSheet() {
    const [from, setFrom] = useState('');
    const [to, setTo] = useState('');
    const answer = useAsk('/compare/figures', from === '' || to === '' ? null : { from, to });
    return (
        <Sheet title="Two figures from anywhere" caption="a percentage names its base">
            <Row>
                <TextField name="from" label="From" value={from} onChange={setFrom} figures placeholder="8.1 s" />
                <TextField name="to" label="To" value={to} onChange={setTo} figures placeholder="6.1 s" />
                <div className="said" aria-live="polite">
                    {answer?.trouble == null ? null : <p style={{ color: 'var(--rust)' }}>{answer.trouble}</p>}
                    {answer?.words.map((words) => (
                        <p key={words}>{words}</p>
                    ))}
                </div>
            </Row>
        </Sheet>
    );
}
