import { grouped } from '../format';

/** A count as five-bar strokes, the way a workshop keeps it. Past 25 the figure is said instead. */
export function TallyMarks({ count, height = 12, what }: { count: number; height?: number; what: string }) {
    if (count === 0) {
        return null;
    }
    const label = `${count} ${what}`;
    if (count > 25) {
        return (
            <span
                role="img"
                aria-label={label}
                style={{ fontFamily: 'var(--figures)', fontStretch: '75%', fontSize: height - 1 }}
            >
                {grouped(count)}
            </span>
        );
    }
    const strokes = [];
    let x = 1.5;
    for (let i = 1; i <= count; i += 1) {
        if (i % 5 === 0) {
            strokes.push(<path key={i} d={`M${x - 21} ${height - 2.5}L${x - 1.5} 2.5`} />);
            x += 4;
        } else {
            strokes.push(<path key={i} d={`M${x} 1V${height - 1}`} />);
            x += 5;
        }
    }
    return (
        <svg
            role="img"
            aria-label={label}
            width={x + 1}
            height={height}
            fill="none"
            stroke="currentColor"
            strokeWidth="1.5"
        >
            {strokes}
        </svg>
    );
}
