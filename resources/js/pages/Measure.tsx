import { Head, Link } from '@inertiajs/react';
import styled from 'styled-components';
import { Nothing } from '../parts/Nothing';
import { ClaimLine } from '../charts/ClaimLine';
import { CourseTrace } from '../charts/CourseTrace';
import { Margin } from '../frame/Margin';
import { OrderPanel } from '../order/OrderPanel';
import { useOrder, type Order } from '../order/useOrder';
import { Button } from '../parts/Button';
import { CardHeading } from '../parts/CardHeading';
import { RunningSheet } from '../parts/RunningSheet';
import { Sheet, Title } from '../parts/Sheet';
import { useFollow } from '../parts/useFollow';
import { RunTable } from '../run/RunTable';
import type { MeasurePage } from '../types/generated/props';

const Other = styled.p`
    margin-top: 12px;
    font-size: 13px;
    color: var(--pencil);
    a {
        color: var(--ink);
    }
`;

export default function Measure(props: MeasurePage) {
    return <Surface key={props.card.tag} {...props} />;
}

function Surface({ card, claimLine, course, runs, running, order, margin }: MeasurePage) {
    const state = useOrder(card.tag, 'speed', order);
    const now = useFollow(running, ['claimLine', 'course', 'runs', 'order']);
    const { slot } = state;
    const measured = runs.some((run) => run.write !== null);

    return (
        <>
            <Head title={`Measure ${card.tag}`} />
            <main>
                <Title>
                    <div>
                        <CardHeading card={card} />
                        {slot === undefined ? (
                            <p>No slot of this station takes this card.</p>
                        ) : (
                            <p>
                                <b>{slot.name}</b>: {slot.chain} · slowest link{' '}
                                <span className="pinch">{slot.pinch}</span>
                            </p>
                        )}
                    </div>
                    {running === null ? (
                        <Button
                            quiet={measured}
                            data-main=""
                            isDisabled={slot === undefined || state.busy}
                            onPress={state.send}
                            detail={`${amount(state)}${state.expected === null ? '' : `, about ${state.expected}`}`}
                        >
                            {measured ? 'Measure again' : 'Measure this card'}
                        </Button>
                    ) : null}
                </Title>
                <Sheet
                    title="Claim line"
                    caption={claimLine.caption ?? 'what the label says; nothing measured yet'}
                    aside="MB/s"
                >
                    <ClaimLine line={claimLine} />
                </Sheet>
                {course === null ? null : (
                    <Sheet title="Trace" caption={course.caption} aside="MB/s">
                        <CourseTrace course={course} />
                    </Sheet>
                )}
                {running === null ? (
                    <OrderPanel kind="speed" order={order} state={state} />
                ) : (
                    <RunningSheet running={now ?? running} />
                )}
                <Other>
                    Measured elsewhere? <Link href={`/measure/${card.tag}/typed`}>Type the figures in</Link>. A real
                    folder to a drive? <Link href={`/measure/${card.tag}/copy`}>Time a copy</Link>.
                </Other>
                {runs.length === 0 ? (
                    <Nothing>No runs yet. Put the card into a slot, choose it above and measure it.</Nothing>
                ) : (
                    <RunTable runs={runs} />
                )}
            </main>
            <Margin margin={margin} here={`/measure/${card.tag}`} />
        </>
    );
}

function amount(state: Order): string {
    if (state.preset === 'sustained') {
        return `one long write, ${state.sizeText === '' ? 'to full' : state.sizeText}`;
    }
    if (state.preset === 'files') {
        return `${state.runsText} × ${state.more.files === '' ? '200' : state.more.files} files`;
    }
    return `${state.runsText} × ${state.sizeText}`;
}
