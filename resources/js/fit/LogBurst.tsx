import { useForm } from '@inertiajs/react';
import { useEffect, useState } from 'react';
import { useSurfaceKeys } from '../frame/useKeys';
import { Fields } from '../intake/Fields';
import { Button } from '../parts/Button';
import { CountField } from '../parts/countAndDay';
import { SelectField, TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { NameField } from '../parts/NameField';
import { ServerForm } from '../parts/ServerForm';
import { Sheet } from '../parts/Sheet';
import type { ChoiceProps } from '../types/generated/props';

/** When the burst began and when it slowed, milliseconds of the page’s own clock. */
interface Watch {
    began: number;
    slowed: number | null;
}

const NEXT = ['Start the burst', 'It slows now', 'All is written'] as const;

/**
 * A burst is logged with one key: the space bar when it begins, when it slows, and when it has cleared. Frames are counted by the
 * camera, or follow from how many it takes a second.
 */
export function LogBurst({ card, cameras, person }: { card: string; cameras: readonly ChoiceProps[]; person: string }) {
    const form = useForm({
        camera_id: cameras[0]?.key ?? '',
        frames: '',
        frame: '',
        per_second: '',
        clear: '',
        by: person,
    });
    const field = formField(form);
    const [watch, setWatch] = useState<Watch | null>(null);
    const [now, setNow] = useState(0);
    useEffect(() => {
        if (watch === null) {
            return undefined;
        }
        const timer = setInterval(() => {
            setNow(performance.now());
        }, 100);
        return () => {
            clearInterval(timer);
        };
    }, [watch]);
    const lap = () => {
        const at = performance.now();
        setNow(at);
        if (watch === null) {
            setWatch({ began: at, slowed: null });
        } else if (watch.slowed === null) {
            const seconds = (at - watch.began) / 1000;
            const each = Number(form.data.per_second.replace(',', '.'));
            if (each > 0) {
                form.setData('frames', String(Math.max(1, Math.round(seconds * each))));
            }
            setWatch({ ...watch, slowed: at });
        } else {
            form.setData('clear', `${((at - watch.slowed) / 1000).toFixed(1)} s`);
            setWatch(null);
        }
    };
    useSurfaceKeys({ ' ': lap });
    const step = watch === null ? 0 : watch.slowed === null ? 1 : 2;
    const since = watch === null ? null : (Math.max(0, now - (watch.slowed ?? watch.began)) / 1000).toFixed(1);
    return (
        <Sheet title="Log a burst" caption="the space bar: it begins, it slows, all is written">
            <ServerForm
                onSubmit={(event) => {
                    event.preventDefault();
                    form.post(`/cards/${card}/bursts`, { preserveScroll: true });
                }}
            >
                <Fields>
                    <SelectField
                        {...field('camera_id')}
                        label="Camera"
                        choices={cameras.map(({ key, label }) => ({ key, label }))}
                    />
                    <TextField {...field('per_second')} label="Frames a second" figures placeholder="10" />
                    <TextField {...field('frame')} label="One frame" figures placeholder="24.6 MB" />
                    <div style={{ alignSelf: 'end' }}>
                        <Button quiet onPress={lap}>
                            {NEXT[step]}
                        </Button>
                        <span role="status" className="figure" style={{ marginLeft: 8 }}>
                            {since === null ? '' : `${since} s`}
                        </span>
                    </div>
                    <CountField {...field('frames')} label="Frames until it slowed" placeholder="12" />
                    <TextField {...field('clear')} label="Cleared in" figures placeholder="23 s" />
                    <NameField {...field('by')} name="burst-by" label="Your name" />
                    <div style={{ alignSelf: 'end' }}>
                        <Button type="submit" isDisabled={form.processing}>
                            Log this burst
                        </Button>
                    </div>
                </Fields>
            </ServerForm>
        </Sheet>
    );
}
