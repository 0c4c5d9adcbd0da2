import type { ReactNode } from 'react';
import { Contacts, MicroBack, Ring, SdBack, Words } from './cardShapes';

/** Our own line drawings: what to look at, for each question. 560 × 260. */

function ContactRows({ micro }: { micro: boolean }) {
    const top = 40;
    const card = (x: number, rows: number) =>
        micro ? (
            <>
                <MicroBack x={x + 11} y={top + 10} />
                <Contacts x={x + 20} y={top + 16} count={8} step={8.8} height={26} />
                {rows === 2 ? (
                    <Contacts x={x + 20} y={top + 52} count={8} step={8.8} height={13} className="contact look" />
                ) : null}
            </>
        ) : (
            <>
                <SdBack x={x} y={top} />
                <Contacts x={x + 16} y={top + 10} count={9} step={11} height={30} />
                {rows === 2 ? (
                    <Contacts x={x + 10} y={top + 52} count={8} step={13} height={15} className="contact look" />
                ) : null}
            </>
        );
    return (
        <>
            {card(120, 1)}
            {card(320, 2)}
            {micro ? null : <path d="M96 65h18M302 99h18" className="lead" />}
            <Words x={180} y={226}>
                one row
            </Words>
            <Words x={380} y={226}>
                two rows
            </Words>
        </>
    );
}

function Connector() {
    return (
        <>
            <rect x="40" y="90" width="220" height="44" rx="4" className="card" />
            <Contacts x={56} y={100} count={25} step={7.6} height={5} className="hole" />
            <Contacts x={56} y={118} count={25} step={7.6} height={5} className="hole" />
            <Words x={150} y={170}>
                two rows of pin holes
            </Words>
            <rect x="310" y="90" width="220" height="44" rx="4" className="card" />
            <path d="M330 118h54M404 118h104" className="tongue" />
            <Contacts x={334} y={106} count={7} step={7} height={12} className="contact look" />
            <Contacts x={408} y={106} count={14} step={7} height={12} className="contact look" />
            <Words x={420} y={170}>
                a flat tongue with contacts
            </Words>
            <Words x={280} y={50}>
                looking into the edge that goes in
            </Words>
        </>
    );
}

function Outline() {
    const mm = 2.5;
    const card = (x: number, width: number, height: number, name: string) => (
        <>
            <rect x={x} y={215 - height * mm} width={width * mm} height={height * mm} rx="4" className="card" />
            <Words x={x + (width * mm) / 2} y={215 - (height * mm) / 2 + 4}>
                {name}
            </Words>
            <Words x={x + (width * mm) / 2} y={234}>{`${width} × ${height} mm`}</Words>
        </>
    );
    return (
        <>
            {card(90, 20, 28, 'A')}
            {card(210, 38.5, 29.6, 'B')}
            {card(370, 54, 74, 'C')}
        </>
    );
}

function Print() {
    return (
        <>
            <path d="M150 40H252l22 22V202q0 6 -6 6H156q-6 0 -6 -6V46q0 -6 6 -6z" className="card" />
            <path d="M164 66h70M164 82h46" className="print" />
            <text x="166" y="140" className="big">
                128
            </text>
            <rect x="166" y="158" width="22" height="22" className="mark" />
            <rect x="196" y="158" width="22" height="22" className="mark" />
            <path d="M166 194h88" className="print thin" />
            <path d="M226 150l40 -6 4 34 -40 6z" className="sticker" />
            <Ring cx={218} cy={166} rx={66} ry={30} />
            <path d="M282 158L336 130" className="lead" />
            <circle cx="400" cy="118" r="66" className="card" />
            <text x="352" y="126" className="big">
                V6
            </text>
            <text x="416" y="126" className="big" transform="rotate(11 416 126)">
                O
            </text>
            <path d="M360 146h82" className="print thin" />
            <Words x={400} y={212}>
                drawn as the standard draws it?
            </Words>
        </>
    );
}

function Shell() {
    return (
        <>
            <rect x="90" y="92" width="380" height="26" rx="6" className="card" />
            <path d="M90 105h380" className="print thin" />
            <path d="M300 105q20 -9 60 -9" className="look-line" />
            <path d="M216 92l8 9 -6 7 9 10" className="look-line" />
            <Ring cx={328} cy={103} rx={46} ry={20} />
            <Ring cx={221} cy={105} rx={20} ry={22} />
            <path d="M328 82V56M221 82V56" className="lead" />
            <Words x={221} y={48}>
                a crack
            </Words>
            <Words x={328} y={48}>
                an open seam
            </Words>
            <Words x={280} y={160}>
                edge on, a nail along the seam
            </Words>
            <Contacts x={106} y={110} count={9} step={8} height={7} />
        </>
    );
}

function LockSlider() {
    const card = (x: number, at: number, words: string) => (
        <>
            <path
                d={`M${x + 6} 36H${x + 98}l22 22V190q0 6 -6 6H${x + 6}q-6 0 -6 -6V104h7V64h-7V42q0 -6 6 -6z`}
                className="card"
            />
            <rect x={x - 3} y={at} width="10" height="18" className="slider" />
            <path d={`M${x + 22} 72h62M${x + 22} 88h40`} className="print" />
            <Words x={x + 60} y={220}>
                {words}
            </Words>
        </>
    );
    return (
        <>
            {card(130, 65, 'open: toward the contacts')}
            {card(330, 86, 'locked')}
            <Ring cx={131} cy={84} rx={20} ry={32} />
            <path d="M104 66V102M98 74l6 -9 6 9M98 94l6 9 6 -9" className="look-line" />
        </>
    );
}

function CodeOnBack() {
    return (
        <>
            <SdBack x={216} y={34} />
            <Contacts x={232} y={44} count={9} step={11} height={30} />
            <path d="M236 148h80M236 160h54M236 172h66" className="look-line" />
            <Ring cx={278} cy={160} rx={58} ry={28} />
            <path d="M338 150L392 128" className="lead" />
            <Words x={398} y={126} anchor="start">
                small print, a letter
            </Words>
            <Words x={398} y={143} anchor="start">
                and a handful of digits
            </Words>
        </>
    );
}

function Seating() {
    return (
        <>
            <rect x="300" y="72" width="180" height="96" rx="6" className="card" />
            <path d="M300 104h96v32h-96" className="mouth" />
            <rect x="120" y="106" width="150" height="28" rx="4" className="card" />
            <Contacts x={222} y={110} count={5} step={9} height={20} className="contact" />
            <path d="M140 164H262M252 157l12 7 -12 7" className="look-line" />
            <Words x={200} y={190}>
                slow and straight
            </Words>
            <Ring cx={302} cy={120} rx={26} ry={34} />
            <Words x={390} y={194}>
                found without a finger on it?
            </Words>
        </>
    );
}

const DRAWINGS: Record<string, (micro: boolean) => ReactNode> = {
    'contact-rows': (micro) => <ContactRows micro={micro} />,
    connector: () => <Connector />,
    outline: () => <Outline />,
    print: () => <Print />,
    shell: () => <Shell />,
    'lock-slider': () => <LockSlider />,
    serial: () => <CodeOnBack />,
    'back-code': () => <CodeOnBack />,
    seating: () => <Seating />,
};

/** What to look at; the words beside it say the same. */
export function Drawing({ question, micro }: { question: string; micro: boolean }) {
    return <>{DRAWINGS[question]?.(micro)}</>;
}
