import { useForm } from '@inertiajs/react';
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
    const form = useForm<{ result: File | null }>({ result: null });
    const error = form.errors.result;
    return (
        <Row>
            <FileTrigger
                acceptedFileTypes={['application/json', '.json']}
                onSelect={(files) => {
                    const file = files?.item(0);
                    if (file != null) {
                        form.transform(() => ({ result: file }));
                        form.post(`/cards/${tag}/results`, { preserveScroll: true, forceFormData: true });
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
