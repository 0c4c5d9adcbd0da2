import { Link } from '@inertiajs/react';
import { scaleLinear } from 'd3-scale';
import { roomyTicks } from '../charts/axis';
import { grouped, reached } from '../format';
import { Ruled } from '../parts/Sheet';
import { useWidth } from '../parts/useWidth';
import type { TwinGroupProps } from '../types/generated/props';

/** The members on one axis, written and read, with the band of five parts in a hundred about their middle. */
export function TwinPicture({ group }: { group: TwinGroupProps }) {
    const [ref, width] = useWidth<HTMLDivElement>(660);
    const height = 46 + 20 * group.members.length;
    const rates = group.members.flatMap((one) => [one.write, one.read]);
    const x = scaleLinear()
        .domain([0, Math.max(...rates) * 1.1])
        .nice()
        .range([86, width - 14]);
    const band = (of: number[]) => {
        const mean = of.reduce((sum, one) => sum + one, 0) / of.length;
        return { from: x(mean / 1.05), to: x(mean * 1.05), at: x(mean) };
    };
    const bands = [
        { name: 'written', ...band(group.members.map((one) => one.write)) },
        { name: 'read', ...band(group.members.map((one) => one.read)) },
    ];
    // Where the two bands stand close together, the second name goes under the first.
    const close = Math.abs((bands[0]?.at ?? 0) - (bands[1]?.at ?? 0)) < 110;
    return (
        <div ref={ref}>
            <svg
                width={width}
                height={height + 18}
                role="img"
                aria-label={group.members
                    .map(
                        (one) =>
                            `${one.tag} ${one.name}: written ${reached(one.write)}, read ${reached(one.read)} MB/s`,
                    )
                    .join('; ')}
            >
                {bands.map((one, i) => (
                    <g key={one.name}>
                        <rect
                            x={one.from}
                            y={28}
                            width={one.to - one.from}
                            height={height - 28}
                            fill="var(--ochre)"
                            opacity="0.2"
                        />
                        <text
                            className="pencil"
                            x={one.at}
                            y={close && i === 0 ? 11 : 23}
                            textAnchor="middle"
                            style={{ fontSize: 11.5 }}
                        >
                            {`${one.name}, ± 5 %`}
                        </text>
                    </g>
                ))}
                {group.members.map((one, i) => (
                    <g key={one.tag} transform={`translate(0 ${42 + 20 * i})`}>
                        <text y={4} style={{ fontWeight: 650, fontStretch: '84%' }}>
                            {one.tag}
                        </text>
                        <path d={`M86 0H${width - 14}`} stroke="var(--faint)" />
                        <circle cx={x(one.write)} r="4" fill="var(--ink)" />
                        <path
                            d={`M${x(one.read)} -5l5 5l-5 5l-5 -5z`}
                            fill="var(--sheet)"
                            stroke="var(--ink)"
                            strokeWidth="1.6"
                        />
                    </g>
                ))}
                <path d={`M86 ${height}H${width - 14}`} stroke="var(--ink)" />
                {roomyTicks(x, 6).map((tick) => (
                    <text key={tick} className="figure pencil" x={x(tick)} y={height + 14} textAnchor="middle">
                        {grouped(tick)}
                    </text>
                ))}
            </svg>
        </div>
    );
}

export function TwinTable({ group }: { group: TwinGroupProps }) {
    return (
        <Ruled aria-label="Twins">
            <thead>
                <tr>
                    <th>Card</th>
                    <th>Label</th>
                    <th>Seller</th>
                    <th className="n">Price</th>
                    <th>Back code</th>
                    <th className="n">Write MB/s</th>
                    <th className="n">Read MB/s</th>
                    <th className="n">Readings</th>
                </tr>
            </thead>
            <tbody>
                {group.members.map((one) => (
                    <tr key={one.tag}>
                        <td className="figure">
                            <Link href={`/measure/${one.tag}`}>{one.tag}</Link>
                        </td>
                        <td>{one.name}</td>
                        <td>{one.seller ?? '–'}</td>
                        <td className="n">{one.price ?? '–'}</td>
                        <td className="figure">
                            {one.backCode ?? '–'}
                            {one.backCode !== null && one.backCode === group.sharedBackCode ? ' (shared)' : ''}
                        </td>
                        <td className="n">{reached(one.write)}</td>
                        <td className="n">{reached(one.read)}</td>
                        <td className="n">{one.runs}</td>
                    </tr>
                ))}
            </tbody>
        </Ruled>
    );
}
