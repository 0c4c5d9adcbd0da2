import { Head, Link, router, usePage } from '@inertiajs/react';
import { useEffect, useRef, useState } from 'react';
import { PackedLanes } from '../charts/PackedLanes';
import { Caution, MarginLook } from '../frame/Margin';
import { Fields } from '../intake/Fields';
import { Button } from '../parts/Button';
import { TextField } from '../parts/fields';
import { Nothing } from '../parts/Nothing';
import { Sheet, Title } from '../parts/Sheet';
import { PlainList } from '../plan/PlainList';
import { Evenings } from '../shoot/Evenings';
import { KeepShoot } from '../shoot/KeepShoot';
import { PackedTable } from '../shoot/PackedTable';
import { WantedRows } from '../shoot/WantedRows';
import type { ShootPage, WantedProps } from '../types/generated/props';

/** Milliseconds after the last key until it is planned. */
const PAUSE = 300;

/** The whole shoot: which of the house’s cards go where, what is missing, what comes home in the evenings. */
export default function Shoot(props: ShootPage) {
    const { modes, packed } = props;
    const { errors } = usePage().props;
    const [typed, setTyped] = useState({
        days: props.days,
        home: props.home,
        extra: props.extra,
        wanted: props.wanted,
    });
    const asked = question(typed, props.ticked);
    const waiting = useRef<ReturnType<typeof setTimeout>>(undefined);
    useEffect(
        () => () => {
            clearTimeout(waiting.current);
        },
        [],
    );
    // Planned while somebody types; what they type stays in the fields whatever the answer.
    const change = (part: Partial<typeof typed>) => {
        const next = { ...typed, ...part };
        setTyped(next);
        clearTimeout(waiting.current);
        waiting.current = setTimeout(() => {
            router.get('/fit/shoot', question(next, props.ticked), {
                preserveScroll: true,
                preserveState: true,
                replace: true,
                queryStringArrayFormat: 'indices',
            });
        }, PAUSE);
    };
    const add = () => {
        const last = typed.wanted.at(-1);
        const next = modes.find((mode) => !typed.wanted.some((row) => row.mode === mode.key)) ?? modes[0];
        if (next !== undefined) {
            change({
                wanted: [...typed.wanted, { mode: next.key, daily: '', days: last?.days ?? '', spare: next.isRelay }],
            });
        }
    };
    const cards = packed.places.reduce((sum, place) => sum + place.cards.length, 0);
    return (
        <>
            <Head title="The whole shoot" />
            <main>
                <Title>
                    <div>
                        <h1>{heading(packed.places.length, cards, props.missing)}</h1>
                        <p>
                            {packed.places.length === 0
                                ? 'Say what each camera records, and see which cards go where.'
                                : `Decided ${props.criterion}, each card once. ${props.proof}`}
                        </p>
                    </div>
                    {packed.places.length === 0 ? null : (
                        <p style={{ flex: 'none', lineHeight: 1.7 }}>
                            <a href={`/fit/shoot/packing.pdf?${address(asked)}`}>Packing list (PDF)</a>
                            <br />
                            <a href={`/fit/shoot/packing.xlsx?${address(asked)}`}>as a table (XLSX)</a>
                        </p>
                    )}
                </Title>
                {packed.places.length === 0 ? null : (
                    <Sheet
                        title="Packed"
                        caption="what the cards of each place hold, of what it needs"
                        aside="by the card"
                    >
                        <PackedLanes places={packed.places} />
                    </Sheet>
                )}
                <Sheet
                    title="What is recorded"
                    caption="each mode its own cards; every change is planned at once"
                    aside={props.ticked.length === 0 ? 'all cards at hand' : `${props.ticked.length} ticked cards`}
                >
                    <Fields>
                        <TextField
                            name="days"
                            label="Days"
                            value={typed.days}
                            onChange={(days) => {
                                change({ days });
                            }}
                            error={errors['days']}
                            figures
                        />
                        <TextField
                            name="home"
                            label="Home every … days"
                            value={typed.home}
                            onChange={(home) => {
                                change({ home });
                            }}
                            error={errors['home']}
                            figures
                        />
                        <TextField
                            name="extra"
                            label="On top of what is planned, %"
                            value={typed.extra}
                            onChange={(extra) => {
                                change({ extra });
                            }}
                            error={errors['extra']}
                            figures
                        />
                    </Fields>
                    <WantedRows
                        wanted={typed.wanted}
                        modes={modes}
                        errors={errors}
                        onChange={(wanted) => {
                            change({ wanted });
                        }}
                    />
                    {modes.length === 0 ? (
                        <Nothing>
                            No mode is in the kit yet. <Link href="/kit/modes/new">Add what your cameras record</Link>.
                        </Nothing>
                    ) : (
                        <div style={{ marginTop: 12 }}>
                            <Button quiet onPress={add} data-main="">
                                Add a recording
                            </Button>
                        </div>
                    )}
                </Sheet>
                {packed.places.length === 0 ? null : (
                    <>
                        <PackedTable places={packed.places} />
                        <Evenings evenings={packed.evenings} />
                    </>
                )}
                <KeepShoot
                    asked={asked}
                    canKeep={packed.places.length > 0}
                    kept={props.kept}
                    today={props.today}
                    person={props.person}
                />
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>
                    {packed.places.length === 0
                        ? 'Each card once'
                        : props.missing === ''
                          ? 'Nothing missing'
                          : 'Missing'}
                </h2>
                {props.missing === '' ? null : (
                    <p>
                        No card is there for <b>{props.missing}</b>.
                    </p>
                )}
                {props.buys.length === 0 ? null : (
                    <>
                        <h3>To buy at the least</h3>
                        <PlainList>
                            {props.buys.map((buy) => (
                                <li key={buy}>{buy}</li>
                            ))}
                        </PlainList>
                        <p style={{ fontSize: 12.5 }}>Prove and measure what you buy before it goes along.</p>
                    </>
                )}
                <Chosen
                    ticked={props.ticked}
                    left={props.left}
                    laden={props.laden}
                    more={props.more}
                    isPlanned={packed.places.length > 0}
                />
                <Caution
                    caution={{
                        lead: 'A card goes along when it is clear.',
                        rest: 'Clear it only when two copies on two drives have been read back. Hot cards cool before they are handled.',
                    }}
                />
            </MarginLook>
        </>
    );
}

/** Among which cards it is chosen, and which stay at home. */
function Chosen({
    ticked,
    left,
    laden,
    more,
    isPlanned,
}: {
    ticked: readonly string[];
    left: readonly string[];
    laden: readonly string[];
    more: number;
    isPlanned: boolean;
}) {
    return (
        <>
            {left.length === 0 || !isPlanned ? null : (
                <>
                    <h3>Stay at home</h3>
                    <p style={{ fontSize: 12.5 }} className="figure">
                        {left.join(', ')}
                    </p>
                </>
            )}
            {laden.length === 0 ? null : (
                <p style={{ fontSize: 12.5 }}>
                    With footage on them now: <b className="figure">{laden.join(', ')}</b>. Bring it home first.
                </p>
            )}
            {more === 0 ? null : (
                <p style={{ fontSize: 12.5 }}>{more} more cards were not looked at: tick those that may go along.</p>
            )}
            <p style={{ fontSize: 12.5 }}>
                {ticked.length === 0
                    ? 'All cards at hand were looked at. Tick some in the tray to choose among those only.'
                    : `Chosen among the ${ticked.length} that are ticked.`}
            </p>
        </>
    );
}

function heading(places: number, cards: number, missing: string): string {
    if (places === 0) {
        return 'The whole shoot';
    }
    const packed = `${cards} ${cards === 1 ? 'card' : 'cards'} packed`;
    return missing === '' ? `${packed}, nothing missing` : `${packed}, ${missing} missing`;
}

type Asked = {
    days: string;
    home: string;
    extra: string;
    wanted: { mode: string; daily: string; days: string; spare: string }[];
    cards: string[];
};

function question(
    typed: { days: string; home: string; extra: string; wanted: readonly WantedProps[] },
    cards: string[],
): Asked {
    const wanted = typed.wanted.map((row) => ({ ...row, spare: row.spare ? '1' : '0' }));
    return { ...typed, wanted, cards };
}

function address({ wanted, cards, ...rest }: Asked): string {
    return new URLSearchParams([
        ...Object.entries(rest),
        ...cards.map((card): [string, string] => ['cards[]', card]),
        ...wanted.flatMap((row, i) =>
            Object.entries(row).map(([name, value]): [string, string] => [`wanted[${i}][${name}]`, value]),
        ),
    ]).toString();
}
