import { VerdictMark } from '../parts/VerdictMark';
import { Ruled, Sheet } from '../parts/Sheet';
import type { TheirsProps } from '../types/generated/props';

/** What other houses say of the card in files that nobody known here has signed: shown, and part of no verdict. */
export function TheirsRows({ theirs }: { theirs: readonly TheirsProps[] }) {
    return theirs.length === 0 ? null : (
        <Sheet title="Results of other houses" caption="kept apart: it bears nothing on the verdict here">
            <Ruled aria-label="Results of other houses">
                <thead>
                    <tr>
                        <th>Their verdict</th>
                        <th>Made on</th>
                        <th className="n">Runs</th>
                        <th>By whom</th>
                        <th>Read in by</th>
                    </tr>
                </thead>
                <tbody>
                    {theirs.map((one) => (
                        <tr key={one.id}>
                            <td>
                                <VerdictMark kind={one.verdict} />
                            </td>
                            <td>{one.madeAt}</td>
                            <td className="n">{one.runs}</td>
                            <td>{one.by}</td>
                            <td>{one.readIn}</td>
                        </tr>
                    ))}
                </tbody>
            </Ruled>
        </Sheet>
    );
}
