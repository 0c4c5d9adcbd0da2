import { Sheet } from '../parts/Sheet';
import type { TagSheetProps } from '../types/generated/props';

const WIDTH = 210;
const HEIGHT = 297;

/** The first sheet as it comes out of the printer, in millimetres. */
export function TagSheetPicture({ sheet }: { sheet: TagSheetProps }) {
    const { columns, rows, begin, tags } = sheet;
    const per = columns * rows;
    const sheets = Math.ceil((begin - 1 + tags.length) / per);
    const [w, h] = [WIDTH / columns, HEIGHT / rows];
    return (
        <Sheet
            title="The first sheet"
            caption={`${columns} × ${rows} labels on A4`}
            aside={sheets === 1 ? 'one sheet' : `${sheets} sheets`}
        >
            <svg
                viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
                style={{ height: 'min(480px, 56vh)', margin: '4px auto 8px' }}
                role="img"
                aria-label={`${tags.length} tags from label ${begin} on: ${tags.slice(0, per - begin + 1).join(', ')}`}
            >
                <rect width={WIDTH} height={HEIGHT} fill="var(--paper)" stroke="var(--ink)" strokeWidth="0.6" />
                {Array.from({ length: per }, (_, i) => {
                    const tag = tags[i - begin + 1];
                    const [x, y] = [(i % columns) * w, Math.floor(i / columns) * h];
                    const code = Math.min(h - 7, w * 0.37);
                    return (
                        <g key={i}>
                            <rect
                                x={x + 0.8}
                                y={y + 0.8}
                                width={w - 1.6}
                                height={h - 1.6}
                                rx="1.4"
                                fill={tag === undefined ? 'none' : 'var(--sheet)'}
                                stroke="var(--rule)"
                                strokeWidth="0.5"
                            />
                            {tag === undefined ? null : (
                                <>
                                    <rect
                                        x={x + 3.5}
                                        y={y + 3.5}
                                        width={code}
                                        height={code}
                                        fill="none"
                                        stroke="var(--ink)"
                                        strokeWidth="0.7"
                                        strokeDasharray="1.4 1"
                                    />
                                    <text
                                        x={x + code + 7}
                                        y={y + 9}
                                        className="figure"
                                        style={{ fontSize: w > 60 ? 6.4 : 5, fontWeight: 700 }}
                                    >
                                        {tag}
                                    </text>
                                    <path
                                        d={`M${x + code + 7} ${y + 13.5}h${w * 0.36}M${x + code + 7} ${y + 17}h${w * 0.26}`}
                                        stroke="var(--rule)"
                                        strokeWidth="1"
                                    />
                                </>
                            )}
                        </g>
                    );
                })}
            </svg>
        </Sheet>
    );
}
