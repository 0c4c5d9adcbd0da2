import { Head } from '@inertiajs/react';
import { CoreSample } from '../charts/CoreSample';
import { Trace } from '../charts/Trace';
import { binarySize, grouped } from '../format';
import { Margin } from '../frame/Margin';
import { Button } from '../parts/Button';
import { CardHeading } from '../parts/CardHeading';
import { GoingSheet } from '../parts/GoingSheet';
import { OrderPanel } from '../order/OrderPanel';
import { useOrder } from '../order/useOrder';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import { useFollow } from '../parts/useFollow';
import type { CardProps, CoreProps, GoingProps, MarginProps, OrderProps } from '../types/generated/props';

interface Props {
    card: CardProps;
    core: CoreProps | null;
    going: GoingProps | null;
    order: OrderProps;
    margin: MarginProps;
}

export default function Prove(props: Props) {
    return <Surface key={props.card.tag} {...props} />;
}

function Surface({ card, core, going, order, margin }: Props) {
    const state = useOrder(card.tag, 'proof', order);
    useFollow(going, ['core', 'order']);
    const { expected } = state;

    return (
        <>
            <Head title={`${card.tag} proven`} />
            <main>
                <Title>
                    <div>
                        <CardHeading card={card} />
                        <p>{core?.caption ?? 'Nothing has been written to it and read back yet.'}</p>
                    </div>
                    {going === null ? (
                        <Button
                            quiet={core !== null}
                            data-main=""
                            isDisabled={state.slot === undefined || state.busy}
                            onPress={state.send}
                            detail={
                                state.slot === undefined
                                    ? 'no slot takes it'
                                    : `in ${state.slot.name}${expected === null ? '' : `, about ${expected}`}`
                            }
                        >
                            {core === null ? 'Prove this card' : 'Prove again'}
                        </Button>
                    ) : null}
                </Title>
                {going === null ? null : <GoingSheet going={going} />}
                {core === null ? null : <Core core={core} />}
                {going === null ? <OrderPanel kind="proof" order={order} state={state} /> : null}
            </main>
            <Margin margin={margin} here={`/prove/${card.tag}`} />
        </>
    );
}

function Core({ core }: { core: CoreProps }) {
    const arcs = core.patches.some((patch) => patch.source !== null);
    return (
        <>
            <Sheet
                title="Core sample"
                caption={
                    arcs ? 'each arc joins an address to the one whose data it gave back' : 'the whole card as one line'
                }
                aside={core.grain === 0 ? '' : `patches under ${grouped(core.grain)} bytes are drawn together`}
            >
                <CoreSample core={core} />
            </Sheet>
            <Ruled aria-label="What came back">
                <thead>
                    <tr>
                        <th>What came back</th>
                        <th className="n">Size</th>
                        <th className="n">Bytes</th>
                        <th>Means</th>
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
                    <tr>
                        <td colSpan={4}>{core.summary}</td>
                    </tr>
                </tbody>
            </Ruled>
            {core.trace === null ? null : (
                <Sheet title="Trace" caption="speed along the card" aside="MB/s">
                    <Trace trace={core.trace} />
                </Sheet>
            )}
        </>
    );
}
