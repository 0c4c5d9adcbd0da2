import { useForm } from '@inertiajs/react';
import { clock } from '../charts/Runbook';
import { Fields } from '../intake/Fields';
import { Button } from '../parts/Button';
import { DayField } from '../parts/countAndDay';
import { SelectField, TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { NameField } from '../parts/NameField';
import { ServerForm } from '../parts/ServerForm';
import { Sheet } from '../parts/Sheet';
import { useAsk } from '../parts/useAsk';
import type { MountedProps, PlanPictureProps, ShownPlanProps } from '../types/generated/props';
import { PlainList } from './PlainList';
import { hands } from './PlanPictures';

const WAYS = [
    { key: '0', label: 'made-up cards and drives', detail: 'to practise: nothing is copied' },
    { key: 'fault', label: 'made up, with a fault', detail: 'one drive gives back something else' },
    { key: '1', label: 'real folders of this machine' },
];

/** Begins to carry out the plan that is shown: what it is called, and where its cards go. */
export function BeginOffload({
    plan,
    planKey,
    before,
    person,
    today,
    places,
    patterns,
    isMadeUp,
}: {
    plan: PlanPictureProps;
    /** By which this very plan is begun. */
    planKey: string;
    /** The one that was shown before, where something has changed since. */
    before: ShownPlanProps | null;
    person: string;
    /** `2026-11-27` */
    today: string;
    /** Whether every card of it is. */
    isMadeUp: boolean;
    /** Where slots and drives were last. */
    places: readonly MountedProps[];
    /** By which folders were called lately, the last one first. */
    patterns: readonly string[];
}) {
    const slots = [...new Set(plan.cards.map((card) => card.slot))].sort();
    const drives = [...new Set(plan.cards.flatMap((card) => card.drives))].sort();
    const known = (things: string[]) =>
        Object.fromEntries(things.map((thing) => [thing, places.find((one) => one.thing === thing)?.folder ?? '']));
    const form = useForm({
        name: '',
        day: today,
        pattern: patterns[0] ?? '',
        by: person,
        real: isMadeUp ? '0' : '1',
        slots: known(slots),
        drives: known(drives),
    });
    const field = formField(form);
    const errors = form.errors as Record<string, string | undefined>;
    const isNamed = form.data.name.trim() !== '';
    const shown = useAsk(
        '/offloads/folders',
        isNamed
            ? { plan: planKey, name: form.data.name, day: form.data.day, pattern: form.data.pattern, by: 'x' }
            : null,
    );
    const place = (kind: 'slots' | 'drives') => (thing: string) => (
        <TextField
            key={thing}
            name={`${kind}.${thing}`}
            label={`${thing} is mounted at`}
            placeholder={kind === 'slots' ? '/media/left' : '/media/drive-1'}
            value={form.data[kind][thing] ?? ''}
            error={errors[`${kind}.${thing}`]}
            onChange={(value) => {
                form.setData(kind, { ...form.data[kind], [thing]: value });
            }}
        />
    );
    const begin = (which: { plan: string; as?: 'shown' }) => {
        form.transform((data) => ({ ...which, ...data }));
        form.post('/offloads', { preserveScroll: true, preserveState: true });
    };
    return (
        <Sheet title="Bring it home" caption="carry this plan out, step by step">
            <ServerForm
                onSubmit={(event) => {
                    event.preventDefault();
                    begin({ plan: planKey });
                }}
            >
                <Fields>
                    <TextField {...field('name')} label="Shoot" placeholder="Harbour" />
                    <DayField {...field('day')} label="Day" />
                    <div className="half">
                        <TextField {...field('pattern')} label="Goes into the folder" figures />
                    </div>
                    {patterns.length < 2 ? null : (
                        <SelectField
                            name="pattern-before"
                            label="Folders as before"
                            value={patterns.includes(form.data.pattern) ? form.data.pattern : ''}
                            choices={patterns.map((one) => ({ key: one, label: one }))}
                            onChange={(one) => {
                                form.setData('pattern', one);
                            }}
                        />
                    )}
                    <SelectField {...field('real')} label="With" choices={WAYS} />
                    <NameField {...field('by')} name="begin-by" label="Your name" />
                    {form.data.real === '1' ? (
                        <>
                            {slots.map(place('slots'))}
                            {drives.map(place('drives'))}
                        </>
                    ) : null}
                    <div style={{ alignSelf: 'end' }}>
                        <Button
                            type="submit"
                            isDisabled={form.processing}
                            detail={before === null ? undefined : `as planned now: ${clock(plan.done)}`}
                        >
                            Begin
                        </Button>
                        {before === null ? null : (
                            <Button
                                quiet
                                isDisabled={form.processing}
                                detail={`with what is known now: ${clock(before.done)}, ${hands(before.hands)}`}
                                onPress={() => {
                                    begin({ plan: before.key, as: 'shown' });
                                }}
                            >
                                Begin it as it was shown
                            </Button>
                        )}
                    </div>
                </Fields>
            </ServerForm>
            {errors['plan'] === undefined ? null : <p role="alert">{errors['plan']}</p>}
            {shown === null || !isNamed ? null : (
                <PlainList aria-label="Folders on each drive">
                    {shown.folders.map((folder) => (
                        <li key={folder}>
                            <code>{folder}</code>
                        </li>
                    ))}
                </PlainList>
            )}
        </Sheet>
    );
}
