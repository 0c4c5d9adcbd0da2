import { useForm } from '@inertiajs/react';
import { FileTrigger } from 'react-aria-components';
import { Button } from '../parts/Button';

const OUT = ['csv', 'xlsx', 'ods', 'json'] as const;

/** Cameras and their modes, read out and in. Of a file that cannot be read whole, nothing is taken. */
export function ModeFiles({ said }: { said: string }) {
    const form = useForm<{ modes: File | null }>({ modes: null });
    return (
        <div style={{ display: 'flex', gap: 18, alignItems: 'center', marginTop: 12, flexWrap: 'wrap', fontSize: 13 }}>
            <span>
                Read them out:{' '}
                {OUT.map((format, i) => (
                    <span key={format}>
                        {i === 0 ? '' : ' · '}
                        <a href={`/export/modes.${format}`} style={{ color: 'inherit' }}>
                            {format.toUpperCase()}
                        </a>
                    </span>
                ))}
            </span>
            <FileTrigger
                acceptedFileTypes={['.csv', '.xlsx', '.ods', '.json']}
                onSelect={(files) => {
                    const file = files?.[0];
                    if (file !== undefined) {
                        form.transform(() => ({ modes: file }));
                        form.post('/kit/modes/file', { preserveScroll: true });
                    }
                }}
            >
                <Button quiet isDisabled={form.processing}>
                    Read modes in from a file
                </Button>
            </FileTrigger>
            <span role="status">{said}</span>
            {form.errors.modes === undefined ? null : (
                <p role="alert" style={{ color: 'var(--rust)', flexBasis: '100%' }}>
                    {form.errors.modes}
                </p>
            )}
        </div>
    );
}
