import { useForm } from '@inertiajs/react';
import { Fields } from '../intake/Fields';
import { Button } from '../parts/Button';
import { SelectField, TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { NameField } from '../parts/NameField';
import { ServerForm } from '../parts/ServerForm';
import { Ruled, Sheet } from '../parts/Sheet';
import type { ChoiceProps, FitModeProps, StopProps } from '../types/generated/props';

/** What stopped recordings on this card. Heat, battery and time limits are not the card’s failure. */
export function LogStop({
    card,
    cameras,
    modes,
    causes,
    stops,
    person,
}: {
    card: string;
    cameras: readonly ChoiceProps[];
    modes: readonly FitModeProps[];
    causes: readonly ChoiceProps[];
    stops: readonly StopProps[];
    person: string;
}) {
    const form = useForm({
        camera_id: cameras[0]?.key ?? '',
        mode_id: '',
        cause: causes[0]?.key ?? '',
        after: '',
        by: person,
    });
    const camera = cameras.find((one) => one.key === form.data.camera_id)?.label;
    const field = formField(form);
    const plain = (choices: readonly ChoiceProps[]) => choices.map(({ key, label }) => ({ key, label }));
    return (
        <Sheet title="What stopped it?" caption="only what the card itself stopped is held against it">
            <ServerForm
                onSubmit={(event) => {
                    event.preventDefault();
                    form.post(`/cards/${card}/stops`, { preserveScroll: true });
                }}
            >
                <Fields>
                    <SelectField
                        {...field('camera_id')}
                        label="Recording in"
                        choices={plain(cameras)}
                        onChange={(camera_id) => {
                            form.setData({ ...form.data, camera_id, mode_id: '' });
                        }}
                    />
                    <SelectField
                        {...field('mode_id')}
                        label="Mode"
                        none="not noted"
                        choices={modes
                            .filter((mode) => mode.camera === camera)
                            .map((mode) => ({ key: String(mode.id), label: mode.name }))}
                    />
                    <SelectField {...field('cause')} label="Stopped by" choices={plain(causes)} />
                    <TextField {...field('after')} label="After" figures placeholder="12 min" />
                    <NameField {...field('by')} name="stop-by" label="Your name" />
                    <div style={{ alignSelf: 'end' }}>
                        <Button type="submit" quiet isDisabled={form.processing}>
                            Log what stopped it
                        </Button>
                    </div>
                </Fields>
            </ServerForm>
            {stops.length === 0 ? null : (
                <Ruled aria-label="Recordings that stopped">
                    <thead>
                        <tr>
                            <th>Camera</th>
                            <th>Stopped by</th>
                            <th>After</th>
                            <th>Held against the card</th>
                            <th>By</th>
                            <th>When</th>
                        </tr>
                    </thead>
                    <tbody>
                        {stops.map((one) => (
                            <tr key={one.id}>
                                <td>
                                    {one.camera} {one.mode}
                                </td>
                                <td>{one.cause}</td>
                                <td>{one.after}</td>
                                <td>{one.isTheCards ? <b>yes</b> : 'no'}</td>
                                <td>{one.by}</td>
                                <td>{one.on}</td>
                            </tr>
                        ))}
                    </tbody>
                </Ruled>
            )}
        </Sheet>
    );
}
