import { useForm } from '@inertiajs/react';
import styled from 'styled-components';
import { Button } from '../parts/Button';
import { Sheet } from '../parts/Sheet';
import type { UnfinishedProofProps } from '../types/generated/props';

const Row = styled.div`
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 16px;
    font-size: 13px;
    .wrong {
        color: var(--rust);
    }
`;

/** A proof that was stopped, crashed or unplugged can go on from where it was. */
export function UnfinishedProofSheet({ unfinished }: { unfinished: UnfinishedProofProps }) {
    const form = useForm({});
    const error = Object.values<string>(form.errors)[0];
    return (
        <Sheet title={unfinished.again ? 'Read again' : 'Unfinished proof'} caption={unfinished.where}>
            <Row>
                <div>
                    {unfinished.again
                        ? 'Take the card out, count to ten, put it back, then read.'
                        : 'First it looks for the stamps of that run, to be sure that it is the same card. ' +
                          'A new proof begins at the start and removes what the old one wrote.'}
                    {error === undefined ? null : <p className="wrong">{error}</p>}
                </div>
                <Button
                    quiet={unfinished.again}
                    onPress={() => {
                        form.transform(() => ({ again: unfinished.again }));
                        form.post(`/runs/${unfinished.run}/go-on`, { preserveScroll: true });
                    }}
                >
                    {unfinished.again ? 'Read it again' : 'Continue that proof'}
                </Button>
            </Row>
        </Sheet>
    );
}
