import { Ruled } from '../parts/Sheet';
import { Link } from '@inertiajs/react';
import type { ErasureProps } from '../types/generated/props';

/** Lines of the ledger: what was erased, by whom, when; of one card, or of the whole house. */
export function ErasureRows({ erasures, ofHouse = false }: { erasures: ErasureProps[]; ofHouse?: boolean }) {
    return erasures.length === 0 ? null : (
        <Ruled aria-label="Erased">
            <thead>
                <tr>
                    <th>Erased on</th>
                    {ofHouse ? <th>Card</th> : null}
                    <th>By</th>
                    <th>What for</th>
                    <th>Device</th>
                    {ofHouse ? <th>Station</th> : null}
                    <th className="n">Size</th>
                </tr>
            </thead>
            <tbody>
                {erasures.map((line) => (
                    <tr key={line.id}>
                        <td>{line.on}</td>
                        {ofHouse ? (
                            <td>
                                {line.tag === null ? 'none named' : <Link href={`/prove/${line.tag}`}>{line.tag}</Link>}
                            </td>
                        ) : null}
                        <td>{line.person}</td>
                        <td>
                            {line.what}
                            {line.why === null ? '' : `: ${line.why}`}
                        </td>
                        <td style={{ overflowWrap: 'anywhere' }}>{line.device}</td>
                        {ofHouse ? <td>{line.station}</td> : null}
                        <td className="n">{line.size}</td>
                    </tr>
                ))}
            </tbody>
        </Ruled>
    );
}
