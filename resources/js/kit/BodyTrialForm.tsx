import { useForm } from '@inertiajs/react';
import { Fields } from '../intake/Fields';
import { Button } from '../parts/Button';
import { DayField } from '../parts/countAndDay';
import { SelectField, TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { NameField } from '../parts/NameField';
import { ServerForm } from '../parts/ServerForm';
import { Sheet } from '../parts/Sheet';
import type { ChoiceProps } from '../types/generated/props';

/** What a body said when this card was put into it. */
export function BodyTrialForm({
    card,
    cameras,
    answers,
    person,
    today,
}: {
    card: string;
    cameras: readonly ChoiceProps[];
    answers: readonly ChoiceProps[];
    person: string;
    today: string;
}) {
    const form = useForm({
        camera_id: cameras[0]?.key ?? '',
        answer: answers[0]?.key ?? '',
        firmware: '',
        tried_on: today,
        by: person,
    });
    const field = formField(form);
    const plain = (choices: readonly ChoiceProps[]) => choices.map(({ key, label }) => ({ key, label }));
    return (
        <Sheet title="Put into a body" caption="slow and straight: a forced card snaps">
            <ServerForm
                onSubmit={(event) => {
                    event.preventDefault();
                    form.post(`/cards/${card}/bodies`, { preserveScroll: true });
                }}
            >
                <Fields>
                    <SelectField {...field('camera_id')} label="Body" choices={plain(cameras)} />
                    <SelectField {...field('answer')} label="The card" choices={plain(answers)} />
                    <TextField {...field('firmware')} label="Firmware" figures placeholder="2.1" />
                    <DayField {...field('tried_on')} label="Day" />
                    <NameField {...field('by')} name="trial-by" label="Your name" />
                    <div style={{ alignSelf: 'end' }}>
                        <Button type="submit" quiet isDisabled={form.processing}>
                            Log what the body said
                        </Button>
                    </div>
                </Fields>
            </ServerForm>
        </Sheet>
    );
}
