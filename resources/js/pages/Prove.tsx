import { Head } from '@inertiajs/react';
import styled from 'styled-components';
import { BlockMap } from '../charts/BlockMap';
import { Trace } from '../charts/Trace';
import { binarySize, grouped, size } from '../format';
import { Margin } from '../frame/Margin';
import { Button } from '../parts/Button';
import { CardHeading } from '../parts/CardHeading';
import { RunningSheet } from '../parts/RunningSheet';
import { OrderPanel } from '../order/OrderPanel';
import { useOrder } from '../order/useOrder';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import { useFollow } from '../parts/useFollow';
import { ErasureRows } from '../prove/ErasureRows';
import { UnfinishedProofSheet } from '../prove/UnfinishedProofSheet';
import { BadPlaces, Meaning } from '../prove/Meaning';
import { ReadInSheet } from '../prove/ReadInSheet';
import { TheirsRows } from '../prove/TheirsRows';
import { ProvingWaysSheet } from '../prove/ProvingWaysSheet';
import type { CoreProps, ProvePage } from '../types/generated/props';

const Papers = styled.p`
    display: flex;
    flex-wrap: wrap;
    gap: 4px 18px;
    font-size: 13px;
    margin-top: 12px;
`;

export default function Prove(props: ProvePage) {
    return <Surface key={props.card.tag} {...props} />;
}

function Surface({ card, core, unfinished, ways, erasures, theirs, by, running, order, margin }: ProvePage) {
    const usual = ways?.recommended === 'screen' ? 'screen' : 'proof';
    const state = useOrder(card.tag, 'proof', order, usual, by);
    const now = useFollow(running, ['core', 'order', 'unfinished', 'ways', 'erasures']);
    const { expected } = state;
    const words = WORDS[state.way];

    return (
        <>
            <Head title={`Prove ${card.tag}`} />
            <main>
                <Title>
                    <div>
                        <CardHeading card={card} />
                        <p>{core?.caption ?? 'Nothing has been written to it and read back yet.'}</p>
                    </div>
                    {running === null ? (
                        <Button
                            quiet={core !== null || unfinished?.again === false}
                            data-main=""
                            isDisabled={state.slot === undefined || state.busy}
                            onPress={state.send}
                            detail={
                                state.slot === undefined
                                    ? 'no slot takes it'
                                    : `in ${state.slot.name}${expected === null ? '' : `, about ${expected}`}`
                            }
                        >
                            {core === null ? words.first : words.again}
                        </Button>
                    ) : null}
                </Title>
                {running === null ? null : <RunningSheet running={now ?? running} />}
                {running === null && unfinished !== null && !unfinished.again ? (
                    <UnfinishedProofSheet unfinished={unfinished} />
                ) : null}
                {core === null ? null : <Core core={core} tag={card.tag} />}
                {running === null && unfinished !== null && unfinished.again ? (
                    <UnfinishedProofSheet unfinished={unfinished} />
                ) : null}
                {running === null && ways !== null ? (
                    <ProvingWaysSheet ways={ways} way={state.way} setWay={state.setWay} />
                ) : null}
                {running === null ? <OrderPanel kind="proof" order={order} state={state} /> : null}
                <ErasureRows erasures={erasures} />
                <TheirsRows theirs={theirs} />
                {running === null ? <ReadInSheet tag={card.tag} /> : null}
            </main>
            <Margin margin={margin} here={`/prove/${card.tag}`} />
        </>
    );
}

const WORDS = {
    proof: { first: 'Prove this card', again: 'Prove again' },
    screen: { first: 'Screen this card', again: 'Screen again' },
} as const;

function Core({ core, tag }: { core: CoreProps; tag: string }) {
    const arcs = core.patches.some((patch) => patch.source !== null);
    return (
        <>
            <Sheet
                title="Core sample"
                caption={
                    arcs
                        ? 'each arc joins an address to the one whose data it gave back'
                        : core.points === null && core.alarmAt === null
                          ? 'the whole card as one line'
                          : 'only the places that were looked at'
                }
                aside={core.grain === 0 ? '' : `patches under ${grouped(core.grain)} bytes are drawn together`}
            >
                <BlockMap core={core} />
            </Sheet>
            <Ruled aria-label="What came back">
                <thead>
                    <tr>
                        <th>What came back</th>
                        <th className="n">Size</th>
                        <th className="n">Bytes</th>
                        <th>Meaning</th>
                    </tr>
                </thead>
                <tbody>
                    {core.classes
                        .filter((row) => row.bytes > 0)
                        .map((row) => (
                            <tr key={row.class}>
                                <td>{row.class}</td>
                                <td className="n" title={binarySize(row.bytes)}>
                                    {row.size}
                                </td>
                                <td className="n">{grouped(row.bytes)}</td>
                                <td>{row.meaning}</td>
                            </tr>
                        ))}
                    {core.really === null ? null : (
                        <tr>
                            <td>
                                <b>True capacity</b>
                            </td>
                            <td className="n" title={binarySize(core.capacity)}>
                                {core.exact ? '' : 'about '}
                                {size(core.capacity)}
                            </td>
                            <td className="n">{grouped(core.capacity)}</td>
                            <td>{core.really}</td>
                        </tr>
                    )}
                </tbody>
            </Ruled>
            <Meaning core={core} />
            <BadPlaces core={core} />
            <Papers>
                <a href={`/prove/${tag}/evidence.pdf`}>Evidence sheet (PDF)</a>
                <a href={`/prove/${tag}/result.json`}>Result file (JSON)</a>
            </Papers>
            {core.trace === null ? null : (
                <Sheet title="Trace" caption="speed along the card" aside="MB/s">
                    <Trace trace={core.trace} />
                </Sheet>
            )}
        </>
    );
}
