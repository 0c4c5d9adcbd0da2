import { clock } from '../charts/Runbook';
import { Button } from '../parts/Button';
import { useAsk } from '../parts/useAsk';
import type { FiguresProps } from '../types/generated/props';

/** A long search is begun only once nothing was changed for so long: one that was begun goes on, wanted or not. Milliseconds. */
const QUIET = 1500;

/** A first plan is shown at once; meanwhile a longer search goes on, and offers what it finds. */
export function BetterPlan({
    shown,
    goal,
    asked,
    isLong,
    onTake,
}: {
    shown: FiguresProps;
    goal: string;
    /** null where the plan that is shown is the longer search’s own, or it is not yet its turn. */
    asked: object | null;
    isLong: boolean;
    onTake: () => void;
}) {
    const found = useAsk('/offload/better', asked, QUIET);
    if (isLong) {
        return <p role="status">searched for two seconds</p>;
    }
    if (found === null) {
        return <p role="status">looking for a better plan…</p>;
    }
    const figure = (plan: FiguresProps) => (goal === 'hands' ? plan.hands : goal === 'free' ? plan.free : plan.done);
    const isBetter = goal === 'hands' ? figure(found) < figure(shown) : figure(found) < figure(shown) - 1;
    return isBetter ? (
        <Button
            data-main=""
            detail={goal === 'hands' ? `hands needed ${found.hands} times` : `${clock(figure(found))}, found meanwhile`}
            onPress={onTake}
        >
            Take the better plan
        </Button>
    ) : (
        <p role="status">no better one in two seconds</p>
    );
}
