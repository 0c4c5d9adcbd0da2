import { PlanMap } from '../charts/PlanMap';
import { clock, Runbook } from '../charts/Runbook';
import { percent } from '../format';
import { Sheet } from '../parts/Sheet';
import type { PlanPictureProps, RestsOnProps } from '../types/generated/props';
import { PlainList } from './PlainList';
import { PlanCards } from './PlanCards';

/** Both pictures of a plan, its cards, and the runbook as a list of times. */
export function PlanPictures({ plan, rests }: { plan: PlanPictureProps; rests: readonly RestsOnProps[] }) {
    const pinch = plan.loads[0];
    return (
        <>
            <Sheet
                title="Reach map"
                caption="width is speed, in MB/s, while copying"
                aside={
                    pinch === undefined ? null : (
                        <>
                            pinch: <strong style={{ color: 'var(--rust)' }}>{pinch.name}</strong>, full{' '}
                            {percent(pinch.share)} of the time
                        </>
                    )
                }
            >
                <PlanMap flows={plan.flows} pinch={pinch?.name ?? ''} rests={rests} />
                {pinch?.kind === 'Previews' ? (
                    <p>
                        <b>Previews are the limit:</b> no card, reader or drive will make this faster. Import without
                        them, and build them later.
                    </p>
                ) : null}
            </Sheet>
            <Sheet
                title="Runbook"
                caption="minutes and seconds from the start"
                aside={`no plan is done before ${clock(plan.bound)}`}
            >
                <Runbook lanes={plan.lanes} done={plan.done} free={plan.free} />
            </Sheet>
            <PlanCards cards={plan.cards} />
            <details>
                <summary>The runbook as a list of times</summary>
                <PlainList>
                    {plan.lanes
                        .flatMap((lane) => lane.bars)
                        .sort((one, other) => one.from - other.from || one.until - other.until)
                        .map((bar, i) => (
                            <li key={i}>
                                <span className="figures">{clock(bar.from)}</span> to{' '}
                                <span className="figures">{clock(bar.until)}</span>: {bar.words}
                            </li>
                        ))}
                </PlainList>
            </details>
        </>
    );
}

/** `two verified copies each` */
export function copies({ copies: count, readsBack }: PlanPictureProps): string {
    const verified = readsBack ? 'verified ' : '';
    return count === 1 ? `one ${verified}copy each` : `${count === 2 ? 'two' : 'three'} ${verified}copies each`;
}

/** `hands needed twice` */
export function hands(count: number): string {
    return `hands needed ${count === 1 ? 'once' : count === 2 ? 'twice' : `${count} times`}`;
}
