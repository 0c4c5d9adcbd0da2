import { useForm } from '@inertiajs/react';
import { Nothing } from '../parts/Nothing';
import { Button } from '../parts/Button';
import { CountField } from '../parts/countAndDay';
import { TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { NameField } from '../parts/NameField';
import { Ruled, Sheet } from '../parts/Sheet';
import type { FootageProps } from '../types/generated/props';
import { Fields } from './Fields';

/** That the card carries footage, and that it was cleared: acts of their own, with name and time, that no old page undoes. */
export function FootageSheet({ tag, footage, person }: { tag: string; footage: FootageProps; person: string }) {
    const form = useForm({ footage: '', files: '', by: person, why: '' });
    const field = formField(form);
    const send = (act: 'footage' | 'clear') => {
        form.post(`/cards/${tag}/${act}`, {
            preserveScroll: true,
            preserveState: true,
            onSuccess: () => {
                form.reset('footage', 'files', 'why');
            },
        });
    };
    return (
        <Sheet
            title="Footage on it"
            caption={
                footage.now === null
                    ? 'none: it may be erased'
                    : footage.secured === null
                      ? 'not secured: it is not erased before it is cleared'
                      : `may be cleared: ${footage.secured}`
            }
            aside={footage.now ?? 'clear'}
        >
            <Fields>
                <TextField {...field('footage')} label="Footage on the card" placeholder="48 GB" figures />
                <CountField {...field('files')} label="Files, if counted" placeholder="212" />
                <NameField {...field('by')} name="footage-by" label="Your name" />
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
                                {...field('why')}
                                label={footage.secured === null ? 'Where the footage is now' : 'Note, if any'}
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
