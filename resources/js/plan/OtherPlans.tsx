import styled from 'styled-components';
import { clock } from '../charts/Runbook';
import { useSurfaceKeys } from '../frame/useKeys';
import { Ruled } from '../parts/Sheet';
import type { OtherPlanProps } from '../types/generated/props';

const Others = styled(Ruled)`
    td:first-child {
        white-space: nowrap;
        font-size: 12px;
        padding-right: 0;
    }
    kbd {
        padding: 0 4px;
        margin-right: 4px;
    }
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

const LETTERS = 'abcdefgh';

/** Plans that differ in kind, side by side in figures; one press, or a letter, takes another. */
export function OtherPlans({
    others,
    onTake,
}: {
    others: readonly OtherPlanProps[];
    onTake: (plan: OtherPlanProps) => void;
}) {
    useSurfaceKeys(
        Object.fromEntries(
            others.map((plan, i): [string, () => void] => [
                LETTERS.charAt(i),
                () => {
                    onTake(plan);
                },
            ]),
        ),
    );
    return (
        <Others aria-label="Other plans">
            <thead>
                <tr>
                    <th>Plan</th>
                    <th className="n">Done</th>
                    <th className="n">Free</th>
                    <th className="n">Hands</th>
                </tr>
            </thead>
            <tbody>
                {others.map((plan, i) => (
                    <tr key={`${plan.goal} ${plan.scheme}`} {...(plan.isShown ? { 'data-shown': '' } : {})}>
                        <td>
                            <kbd>{LETTERS.charAt(i)}</kbd>{' '}
                            <button
                                type="button"
                                aria-pressed={plan.isShown}
                                onClick={() => {
                                    onTake(plan);
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
