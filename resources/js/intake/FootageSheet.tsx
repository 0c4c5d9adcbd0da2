import { router } from '@inertiajs/react';
import { useState } from 'react';
import { Nothing } from '../parts/Nothing';
import { Button } from '../parts/Button';
import { TextField } from '../parts/fields';
import { NameField } from '../parts/NameField';
import { Ruled, Sheet } from '../parts/Sheet';
import type { FootageProps } from '../types/generated/props';
import { Fields } from './Fields';

/** That the card carries footage, and that it was cleared: acts of their own, with name and time, that no old page undoes. */
export function FootageSheet({ tag, footage, person }: { tag: string; footage: FootageProps; person: string }) {
    const [size, setSize] = useState('');
    const [by, setBy] = useState(person);
    const [why, setWhy] = useState('');
    const [errors, setErrors] = useState<Record<string, string>>({});
    const send = (act: 'footage' | 'clear') => {
        router.post(`/cards/${tag}/${act}`, act === 'footage' ? { footage: size, by } : { by, why }, {
            preserveScroll: true,
            preserveState: true,
            onError: setErrors,
            onSuccess: () => {
                setErrors({});
                setSize('');
                setWhy('');
            },
        });
    };
    return (
        <Sheet
            title="Footage on it"
            caption={footage.now === null ? 'none: it may be erased' : 'it is not erased before it is cleared'}
            aside={footage.now ?? 'clear'}
        >
            <Fields>
                <TextField
                    name="footage"
                    label="Footage on the card"
                    value={size}
                    onChange={setSize}
                    error={errors['footage']}
                    placeholder="48 GB"
                    figures
                />
                <NameField name="footage-by" label="Your name" value={by} onChange={setBy} error={errors['by']} />
                <div style={{ alignSelf: 'end' }}>
                    <Button
                        quiet
                        onPress={() => {
                            send('footage');
                        }}
                    >
                        Mark footage on it
                    </Button>
                </div>
                {footage.now === null ? null : (
                    <>
                        <div className="half">
                            <TextField
                                name="why"
                                label="Where the footage is now"
                                value={why}
                                onChange={setWhy}
                                error={errors['why']}
                                placeholder="on D1 and D3, both read back"
                            />
                        </div>
                        <div style={{ alignSelf: 'end' }}>
                            <Button
                                quiet
                                onPress={() => {
                                    send('clear');
                                }}
                            >
                                Clear this card
                            </Button>
                        </div>
                    </>
                )}
            </Fields>
            {footage.acts.length === 0 ? (
                <Nothing>No footage was marked yet. Mark it before anybody may erase the card.</Nothing>
            ) : (
                <Ruled aria-label="Footage history">
                    <thead>
                        <tr>
                            <th>On</th>
                            <th className="n">Footage</th>
                            <th>By</th>
                            <th>Where it went</th>
                        </tr>
                    </thead>
                    <tbody>
                        {footage.acts.map((act) => (
                            <tr key={act.id}>
                                <td>{act.on}</td>
                                <td className="n">{act.what}</td>
                                <td>{act.person}</td>
                                <td>{act.note ?? ''}</td>
                            </tr>
                        ))}
                    </tbody>
                </Ruled>
            )}
        </Sheet>
    );
}
