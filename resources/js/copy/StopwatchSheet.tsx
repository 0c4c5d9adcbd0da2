import { useForm } from '@inertiajs/react';
import styled from 'styled-components';
import { useSurfaceKeys } from '../frame/useKeys';
import { Button } from '../parts/Button';
import { SelectField, TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { NameField } from '../parts/NameField';
import { Sheet } from '../parts/Sheet';
import { useAsk } from '../parts/useAsk';
import type { ChainChoicesProps } from '../types/generated/props';
import { Laps } from './CopySheet';
import { clock, LAPS, useStopwatch, type LapName } from './useStopwatch';

const Row = styled.div`
    display: grid;
    grid-template-columns: repeat(5, minmax(0, 1fr));
    gap: 10px 18px;
    padding-bottom: 8px;
    @media (max-width: 560px) {
        grid-template-columns: minmax(0, 1fr);
    }
`;

const Dial = styled.div`
    display: flex;
    align-items: baseline;
    gap: 18px;
    flex-wrap: wrap;
    padding: 2px 0 10px;
    output {
        font-family: var(--figures);
        font-stretch: 75%;
        font-size: 40px;
        font-weight: 560;
        min-width: 150px;
    }
    p {
        font-size: 12.5px;
        color: var(--pencil);
    }
`;

const WORDS: Record<LapName, string> = { copied: 'copied', verified: 'verified', previews: 'previews built' };

/** A copy that another program makes, timed by hand: a lap for each thing that "done" may mean. */
export function StopwatchSheet({
    tag,
    chain,
    today,
    person,
}: {
    tag: string;
    chain: ChainChoicesProps;
    today: string;
    person: string;
}) {
    const form = useForm({
        size: '',
        files: '',
        copied: '',
        verified: '',
        previews: '',
        reader: '',
        port: '',
        drive: '',
        on: today,
        by: person,
        note: '',
    });
    const watch = useStopwatch((name, text) => {
        form.setData(name, text);
    });
    useSurfaceKeys({
        ' ': () => {
            watch.lap();
        },
    });
    const { size, copied, verified, previews } = form.data;
    const typed = { size, copied, verified, previews };
    const check = useAsk(`/cards/${tag}/stopwatch/check`, typed);
    const field = formField(form);
    return (
        <Sheet title="By stopwatch" caption="where other programs do the work" aside="key: space">
            <Dial>
                <output aria-live="off">{clock(watch.seconds)}</output>
                <Button
                    onPress={() => {
                        watch.lap();
                    }}
                    quiet={watch.began === null}
                >
                    {watch.began === null
                        ? 'Start the stopwatch'
                        : watch.next === null
                          ? 'All laps taken'
                          : `Lap: ${WORDS[watch.next]}`}
                </Button>
                {watch.began === null ? null : (
                    <Button quiet onPress={watch.stop}>
                        Stop the stopwatch
                    </Button>
                )}
                <p>
                    {LAPS.map((lap) => `${WORDS[lap]}${form.data[lap] === '' ? '' : ` ${form.data[lap]}`}`).join(' → ')}
                </p>
            </Dial>
            <form
                noValidate
                onSubmit={(event) => {
                    event.preventDefault();
                    form.post(`/cards/${tag}/stopwatch`, {
                        preserveScroll: true,
                        onSuccess: () => {
                            form.reset('copied', 'verified', 'previews', 'note');
                        },
                    });
                }}
            >
                <Row>
                    <TextField {...field('size')} label="Amount copied" figures placeholder="14.7 GB" />
                    <TextField {...field('files')} label="Files" figures placeholder="600" />
                    <TextField {...field('copied')} label="Copied after" figures placeholder="3:49" />
                    <TextField {...field('verified')} label="Verified after" figures placeholder="not taken" />
                    <TextField {...field('previews')} label="Previews after" figures placeholder="not taken" />
                </Row>
                {check === null ? null : (
                    <div aria-live="polite">
                        {check.trouble === null ? null : (
                            <p style={{ color: 'var(--rust)', fontSize: 12.5 }}>{check.trouble}</p>
                        )}
                        {check.laps.length === 0 ? null : <Laps laps={check.laps} />}
                        {check.bound === null ? null : <p style={{ fontSize: 13 }}>{check.bound}.</p>}
                    </div>
                )}
                <Row>
                    <SelectField {...field('reader')} label="Reader" none="not known" choices={chain.readers} />
                    <SelectField {...field('port')} label="Port" none="not known" choices={chain.ports} />
                    <SelectField {...field('drive')} label="Drive" none="not known" choices={chain.drives} />
                    <TextField {...field('on')} label="On" figures />
                    <NameField {...field('by')} label="Timed by" />
                </Row>
                <Row>
                    <div style={{ gridColumn: '1 / span 4' }}>
                        <TextField {...field('note')} label="Note" placeholder="which program, which files" />
                    </div>
                    <div style={{ alignSelf: 'end' }}>
                        <Button type="submit" quiet isDisabled={form.processing}>
                            Save these times
                        </Button>
                    </div>
                </Row>
            </form>
        </Sheet>
    );
}
