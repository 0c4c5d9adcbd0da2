import { Ruled } from '../parts/Sheet';
import type { RestsOnProps } from '../types/generated/props';

/** Every rate that a plan is reckoned with, and how it was got. */
export function RestsOn({ rests }: { rests: readonly RestsOnProps[] }) {
    return (
        <details>
            <summary>What it rests on: {rests.length} rates, each with its origin</summary>
            <Ruled aria-label="Rates that the plan rests on">
                <thead>
                    <tr>
                        <th>What</th>
                        <th className="n">Rate</th>
                        <th>Origin</th>
                        <th>May be</th>
                    </tr>
                </thead>
                <tbody>
                    {rests.map((one) => (
                        <tr key={one.name}>
                            <td>{one.name}</td>
                            <td className="n">{one.rate}</td>
                            <td>
                                {one.origin}: {one.how}
                            </td>
                            <td>{one.range}</td>
                        </tr>
                    ))}
                </tbody>
            </Ruled>
        </details>
    );
}
