import { Head } from '@inertiajs/react';
import { ClaimLine } from '../charts/ClaimLine';
import { CourseTrace } from '../charts/CourseTrace';
import { megabytes, percent } from '../format';
import { Margin } from '../frame/Margin';
import { Button } from '../parts/Button';
import { CardHeading } from '../parts/CardHeading';
import { GoingSheet } from '../parts/GoingSheet';
import { OrderPanel, useOrder } from '../parts/OrderPanel';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import { useFollow } from '../parts/useFollow';
import type {
    CardProps,
    ClaimLineProps,
    CourseProps,
    GoingProps,
    MarginProps,
    OrderProps,
    RunProps,
} from '../types/generated/props';

interface Props {
    card: CardProps;
    claimLine: ClaimLineProps;
    course: CourseProps | null;
    runs: RunProps[];
    going: GoingProps | null;
    order: OrderProps;
    margin: MarginProps;
}

export default function Measure(props: Props) {
    return <Surface key={props.card.tag} {...props} />;
}

function Surface({ card, claimLine, course, runs, going, order, margin }: Props) {
    const state = useOrder(card.tag, 'speed', order);
    useFollow(going, ['claimLine', 'course', 'runs', 'order']);
    const { slot } = state;
    const measured = runs.some((run) => run.write !== null);

    return (
        <>
            <Head title={`${card.tag} measured`} />
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
                    {going === null ? (
                        <Button
                            quiet={measured}
                            data-main=""
                            isDisabled={slot === undefined || state.busy}
                            onPress={state.send}
                            detail={
                                state.preset === 'sustained'
                                    ? `one long write, ${state.sizeText === '' ? 'to full' : state.sizeText}`
                                    : `${state.runsText} × ${state.sizeText}${usualAmount(state) && slot?.expected != null ? `, about ${slot.expected}` : ''}`
                            }
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
                {going === null ? (
                    <OrderPanel kind="speed" order={order} state={state} />
                ) : (
                    <GoingSheet going={going} />
                )}
                {runs.length === 0 ? null : <Runs runs={runs} />}
            </main>
            <Margin margin={margin} here={`/measure/${card.tag}`} />
        </>
    );
}

/** The forecast of the server is for the house standard; for anything else none is shown. */
function usualAmount(state: { sizeText: string; runsText: string }): boolean {
    return state.sizeText === '1 GB' && state.runsText === '5';
}

function Runs({ runs }: { runs: RunProps[] }) {
    return (
        <Ruled aria-label="Runs">
            <thead>
                <tr>
                    <th>Run</th>
                    <th>Chain</th>
                    <th>Region</th>
                    <th className="n">Write MB/s</th>
                    <th className="n">Read MB/s</th>
                    <th className="n">CV</th>
                    <th>Note</th>
                </tr>
            </thead>
            <tbody>
                {runs.map((run) => {
                    const struck = run.struck ? ' struck' : '';
                    return (
                        <tr key={run.id}>
                            <td className={`figure${struck}`}>{run.id}</td>
                            <td className={struck}>{run.chain}</td>
                            <td className={struck}>{run.region}</td>
                            <td className={`n${struck}`}>{run.write === null ? '–' : megabytes(run.write)}</td>
                            <td className={`n${struck}`}>{run.read === null ? '–' : megabytes(run.read)}</td>
                            <td className={`n${struck}`}>{run.variation === null ? '–' : percent(run.variation, 1)}</td>
                            <td>
                                {run.kind === 'speed run' ? '' : run.kind}
                                {run.state === 'done' ? '' : ` ${run.state}`}
                                {run.note === ''
                                    ? ''
                                    : `${run.kind !== 'speed run' || run.state !== 'done' ? ': ' : ''}${run.note}`}
                            </td>
                        </tr>
                    );
                })}
            </tbody>
        </Ruled>
    );
}
