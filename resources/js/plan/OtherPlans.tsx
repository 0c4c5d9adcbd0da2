import styled from 'styled-components';
import { clock } from '../charts/Runbook';
import { Ruled } from '../parts/Sheet';
import type { OtherPlanProps } from '../types/generated/props';

const Others = styled(Ruled)`
    button {
        border: 0;
        background: transparent;
        padding: 0;
        cursor: pointer;
        text-align: left;
        text-decoration: underline;
        text-underline-offset: 3px;
    }
    tr[data-shown] td {
        background: var(--sheet);
        font-weight: 600;
    }
`;

/** A plan for each goal, side by side in figures; one press takes another. */
export function OtherPlans({ others, onTake }: { others: readonly OtherPlanProps[]; onTake: (goal: string) => void }) {
    return (
        <Others aria-label="Plans for other goals">
            <thead>
                <tr>
                    <th>Goal</th>
                    <th className="n">Done</th>
                    <th className="n">Free</th>
                    <th className="n">Hands</th>
                </tr>
            </thead>
            <tbody>
                {others.map((plan) => (
                    <tr key={plan.goal} {...(plan.isShown ? { 'data-shown': '' } : {})}>
                        <td>
                            <button
                                type="button"
                                aria-pressed={plan.isShown}
                                onClick={() => {
                                    onTake(plan.goal);
                                }}
                            >
                                {plan.words}
                            </button>
                        </td>
                        <td className="n">{clock(plan.done)}</td>
                        <td className="n">{clock(plan.free)}</td>
                        <td className="n">{plan.hands}</td>
                    </tr>
                ))}
            </tbody>
        </Others>
    );
}
