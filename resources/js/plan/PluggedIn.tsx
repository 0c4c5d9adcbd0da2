import type { CabledProps } from '../types/generated/props';
import { PlainList } from './PlainList';

/** Which reader and which drive goes into which port. */
export function PluggedIn({ cabled }: { cabled: readonly CabledProps[] }) {
    return cabled.length === 0 ? null : (
        <>
            <h3>Plug in like this</h3>
            <PlainList>
                {cabled.map((one) => (
                    <li key={one.thing}>
                        <b>{one.thing}</b> {one.name} → {one.port}
                    </li>
                ))}
            </PlainList>
        </>
    );
}
