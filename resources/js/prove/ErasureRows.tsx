import { Ruled } from '../parts/Sheet';
import type { ErasureProps } from '../types/generated/props';

/** The lines of the ledger about this card: what was erased, by whom, when. */
export function ErasureRows({ erasures }: { erasures: ErasureProps[] }) {
    return erasures.length === 0 ? null : (
        <Ruled aria-label="Erased">
            <thead>
                <tr>
                    <th>Erased on</th>
                    <th>By</th>
                    <th>What for</th>
                    <th>Device</th>
                    <th className="n">Size</th>
                </tr>
            </thead>
            <tbody>
                {erasures.map((line) => (
                    <tr key={line.on + line.what}>
                        <td>{line.on}</td>
                        <td>{line.person}</td>
                        <td>
                            {line.what}
                            {line.why === null ? '' : `: ${line.why}`}
                        </td>
                        <td>{line.path}</td>
                        <td className="n">{line.size}</td>
                    </tr>
                ))}
            </tbody>
        </Ruled>
    );
}
