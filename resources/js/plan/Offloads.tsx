import { Link } from '@inertiajs/react';
import { Ruled, Sheet } from '../parts/Sheet';
import type { OffloadProps } from '../types/generated/props';

/** Offloads that go on, and those that are over. */
export function Offloads({ offloads }: { offloads: readonly OffloadProps[] }) {
    return (
        <Sheet title="Coming home" caption="the newest first">
            <Ruled aria-label="Offloads">
                <thead>
                    <tr>
                        <th>Offload</th>
                        <th>Began</th>
                        <th className="n">Cards secured</th>
                        <th>State</th>
                    </tr>
                </thead>
                <tbody>
                    {offloads.map((one) => (
                        <tr key={one.id}>
                            <td>
                                <Link href={`/offloads/${one.id}`}>{one.name}</Link>
                            </td>
                            <td>{one.began}</td>
                            <td className="n">
                                {one.secured} of {one.cards}
                            </td>
                            <td>{one.isOver ? 'ended' : 'going on'}</td>
                        </tr>
                    ))}
                </tbody>
            </Ruled>
        </Sheet>
    );
}
