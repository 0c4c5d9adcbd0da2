import { Link } from '@inertiajs/react';
import { Ruled, Sheet } from '../parts/Sheet';
import type { DriveFindingProps } from '../types/generated/props';

/** What a drive got wrong when copies on it were read back. */
export function DriveFindings({ found }: { found: readonly DriveFindingProps[] }) {
    return (
        <Sheet title="Read back" caption="what it got wrong; it stays, also when the copy was right the next time">
            {found.length === 0 ? (
                <p style={{ fontSize: 13 }}>Nothing wrong was read back from it so far.</p>
            ) : (
                <Ruled aria-label="What this drive got wrong">
                    <thead>
                        <tr>
                            <th>Card</th>
                            <th>File</th>
                            <th>Found</th>
                            <th>Offload</th>
                            <th>By</th>
                            <th>When</th>
                        </tr>
                    </thead>
                    <tbody>
                        {found.map((one) => (
                            <tr key={one.id}>
                                <td className="figure">{one.card}</td>
                                <td>{one.file}</td>
                                <td>{one.what}</td>
                                <td>
                                    <Link href={`/offloads/${one.offload}`} style={{ color: 'inherit' }}>
                                        {one.shoot}
                                    </Link>
                                    {one.isMadeUp ? ', made up' : ''}
                                </td>
                                <td>{one.by}</td>
                                <td>{one.on}</td>
                            </tr>
                        ))}
                    </tbody>
                </Ruled>
            )}
        </Sheet>
    );
}
