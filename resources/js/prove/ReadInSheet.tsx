import { router } from '@inertiajs/react';
import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { Button } from '../parts/Button';

const Row = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 6px 16px;
    margin-top: 14px;
    font-size: 12.5px;
    color: var(--pencil);
    .wrong {
        color: var(--rust);
    }
`;

/** Takes over what was found of this card elsewhere. */
export function ReadInSheet({ tag }: { tag: string }) {
    const [error, setError] = useState<string | undefined>();
    return (
        <Row>
            <FileTrigger
                acceptedFileTypes={['application/json', '.json']}
                onSelect={(files) => {
                    const file = files?.item(0);
                    if (file != null) {
                        router.post(
                            `/cards/${tag}/results`,
                            { result: file },
                            {
                                preserveScroll: true,
                                forceFormData: true,
                                onError: (errors) => {
                                    setError(errors['result']);
                                },
                                onSuccess: () => {
                                    setError(undefined);
                                },
                            },
                        );
                    }
                }}
            >
                <Button quiet>Import a result file</Button>
            </FileTrigger>
            <span className={error === undefined ? '' : 'wrong'} role={error === undefined ? undefined : 'alert'}>
                {error ?? 'What was found of this card on another bench; it is checked against its hash first.'}
            </span>
        </Row>
    );
}
