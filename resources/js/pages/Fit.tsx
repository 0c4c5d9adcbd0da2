import { Head, Link, router } from '@inertiajs/react';
import { useState } from 'react';
import { BurstPicture } from '../charts/BurstPicture';
import { MinutesSheet } from '../charts/MinutesSheet';
import { LogBurst } from '../fit/LogBurst';
import { LogStop } from '../fit/LogStop';
import { Criteria } from '../fit/Criteria';
import { Caution, MarginLook, Reasons } from '../frame/Margin';
import { Button } from '../parts/Button';
import { TextField } from '../parts/fields';
import { Nothing } from '../parts/Nothing';
import { ServerForm } from '../parts/ServerForm';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import type { BodyProps, FitModeProps, FitPage } from '../types/generated/props';

export default function Fit(props: FitPage) {
    return <Surface key={props.card?.tag ?? `label ${props.asked}`} {...props} />;
}

function Surface(props: FitPage) {
    const { card, modes, walls, bodies } = props;
    const may = modes.filter((mode) => mode.may).length;
    return (
        <>
            <Head title={card === null ? 'Would it do?' : `${card.tag} in cameras`} />
            <main>
                <Title>
                    <div>
                        <h1>
                            {card === null ? null : <span className="tag">{card.tag}</span>}
                            {heading(card === null, may, modes.length)}
                        </h1>
                        <p>
                            {props.line}
                            {props.holds === '' ? '' : ` · ${props.holds}`}
                            {card === null && modes.length > 0 && props.decides === 'measured'
                                ? ' · decided by its mark, since nothing of it was measured'
                                : ''}{' '}
                            ·{' '}
                            <Link href="/fit/shoot" style={{ color: 'inherit' }}>
                                Fit the whole shoot
                            </Link>
                        </p>
                    </div>
                    <AskLabel asked={props.asked} complaint={props.complaint} />
                </Title>
                {modes.length === 0 ? (
                    <Nothing>
                        {props.asked === '' && card === null
                            ? 'Write what a label says, and see what such a card may record. '
                            : ''}
                        {props.cameras.length === 0 || card !== null ? (
                            <>
                                No mode is in the kit yet.{' '}
                                <Link href="/kit/modes/new">Add what your cameras record</Link>.
                            </>
                        ) : null}
                    </Nothing>
                ) : (
                    <Sheet
                        title="Minutes sheet"
                        caption="what each mode writes, and its margin, against what the card keeps up"
                        aside="MB/s"
                    >
                        <MinutesSheet modes={modes} walls={walls} />
                    </Sheet>
                )}
                {bodies.map((body) => (
                    <Bursts key={body.camera} body={body} card={card?.tag ?? ''} />
                ))}
                {modes.length === 0 ? null : <ByCriterion modes={modes} />}
                {card === null ? null : (
                    <>
                        <LogBurst card={card.tag} cameras={props.cameras} person={props.person} />
                        <LogStop
                            card={card.tag}
                            cameras={props.cameras}
                            modes={modes}
                            causes={props.causes}
                            stops={props.stops}
                            person={props.person}
                        />
                    </>
                )}
            </main>
            <MarginLook>
                <Criteria
                    key={`${props.spare} ${props.usable}`}
                    criteria={props.criteria}
                    decides={props.decides}
                    spare={props.spare}
                    usable={props.usable}
                />
                <Reasons reasons={props.reasons} />
                <Caution
                    caution={{
                        lead: 'A camera that stops from heat',
                        rest: 'has not been failed by its card. Log what stopped it before blaming either, and let both cool.',
                    }}
                />
            </MarginLook>
        </>
    );
}

function heading(isLabel: boolean, may: number, of: number): string {
    if (of === 0) {
        return 'Which modes may it record?';
    }
    return isLabel ? `Such a card may record ${may} of ${of} modes` : `can record ${may} of ${of} modes`;
}

/** “Would a V60 do?”, before anything is bought. */
function AskLabel({ asked, complaint }: { asked: string; complaint: string }) {
    const [words, setWords] = useState(asked);
    return (
        <ServerForm
            onSubmit={(event) => {
                event.preventDefault();
                router.get('/fit/label', { words });
            }}
            style={{ display: 'flex', gap: 12, alignItems: 'flex-start', flex: '0 1 330px' }}
        >
            <div style={{ flex: 1 }}>
                <TextField
                    name="words"
                    label="Would another card do?"
                    placeholder="128GB SDXC II V60"
                    value={words}
                    onChange={setWords}
                    error={complaint === '' ? undefined : complaint}
                />
            </div>
            <Button type="submit" quiet data-main="">
                Check this label
            </Button>
        </ServerForm>
    );
}

function Bursts({ body, card }: { body: BodyProps; card: string }) {
    const newest = body.own[0] ?? body.others[0];
    return (
        <Sheet
            title="Burst and clear"
            caption={
                newest === undefined
                    ? body.camera
                    : `${body.camera}, ${newest.perSecond} frames a second, ${newest.frame} each; buffer ${newest.buffer}`
            }
            aside={`${body.own.length + body.others.length} bursts`}
        >
            <BurstPicture body={body} card={card} />
        </Sheet>
    );
}

/** The three criteria side by side, with what each rests on. */
function ByCriterion({ modes }: { modes: readonly FitModeProps[] }) {
    return (
        <Ruled aria-label="By the mark, as measured, on guaranteed media">
            <thead>
                <tr>
                    <th>Mode</th>
                    <th>By the mark</th>
                    <th>By measurement</th>
                    <th>Guaranteed</th>
                    <th>Least mark</th>
                    <th className="n">Lasts</th>
                </tr>
            </thead>
            <tbody>
                {modes.map((mode) => (
                    <tr key={mode.id}>
                        <td>
                            <Link href={`/fit/modes/${mode.id}`}>
                                {mode.camera.split(' ')[0]} {mode.name}
                            </Link>
                        </td>
                        {mode.criteria.map((one) => (
                            <td key={one.criterion} title={one.evidence}>
                                {one.may ? <b>{one.words === '' ? 'yes' : `yes, ${one.words}`}</b> : one.words}
                            </td>
                        ))}
                        <td>{mode.least ?? 'none'}</td>
                        <td className="n">{mode.lasts}</td>
                    </tr>
                ))}
            </tbody>
        </Ruled>
    );
}
