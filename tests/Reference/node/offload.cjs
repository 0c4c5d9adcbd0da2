// A second reckoning of an offload, written apart from ours and from docs/plan.md alone: it takes plan files with a decision from
// standard input, a JSON list of {question, links, cards}, and prints done, free, hands and the times of each card.
const fs = require('fs');

const rate = (value) => {
    if (value === undefined || value === null) {
        return Infinity;
    }
    if (typeof value === 'number') {
        return value;
    }
    const [number, unit] = value.split(' ');
    return Number(number) * { 'GB/s': 1e9, 'MB/s': 1e6 }[unit];
};
const size = (value) =>
    typeof value === 'number' ? value : Number(value.split(' ')[0]) * { TB: 1e12, GB: 1e9 }[value.split(' ')[1]];

function reckon({ question, links, cards }) {
    const { verify, swap, first, overhead, hands: pairs } = question.rules;
    const readsBack = verify === 'read-back';
    const ceilings = new Map();
    const hosts = Object.fromEntries(question.hosts.map((host) => [host.name, host]));
    const drives = Object.fromEntries(question.drives.map((drive) => [drive.name, drive]));
    const byTag = Object.fromEntries(question.cards.map((card) => [card.tag, card]));
    const ports = {};
    question.hosts.forEach((host) => host.ports.forEach((port) => (ports[`${host.name} ${port.name}`] = [host, port])));
    const slots = {};
    question.readers.forEach((reader) =>
        reader.slots.forEach((slot) => (slots[`${reader.name} ${slot.name}`] = [reader, slot])),
    );
    const know = (key, ceiling) => {
        ceilings.set(key, ceiling);
        return key;
    };
    const through = (name, way, link = Infinity) => {
        const [host, port] = ports[name];
        const keys = [know(`port ${name} ${port.half ? 'both' : way}`, Math.min(rate(port.link), link))];
        for (let at = port.controller; at !== undefined;) {
            const one = host.controllers[at];
            const [ceiling, half, behind] =
                typeof one === 'object' ? [rate(one.ceiling), one.half, one.behind] : [rate(one), false, undefined];
            keys.push(know(`controller ${host.name} ${at} ${half ? 'both' : way}`, ceiling));
            at = behind;
        }
        return keys;
    };
    const hash = (host) => [know(`hash ${host}`, rate(hosts[host].hash))];
    const hostOf = (drive) => drives[drive].inside ?? ports[links[drive]][0].name;
    const toDrive = (drive, way) => (drives[drive].inside ? [] : through(links[drive], way, rate(drives[drive].link)));
    const written = Object.fromEntries(Object.keys(drives).map((drive) => [drive, 0]));
    const full = Object.fromEntries(Object.values(drives).map((drive) => [drive.name, !drive.cache]));
    const speed = (drive) => rate(full[drive] ? drives[drive].write : (drives[drive].fast ?? drives[drive].write));

    let now = 0;
    let done = 0;
    let stretches = 0;
    let busyUntil = -1;
    let flows = [];
    let inHand = [];
    const waiting = [];
    const states = cards.map((card, at) => ({ ...card, at, back: 0, in: null, free: null, clear: null, needed: 0 }));
    const queues = {};
    for (const state of states) {
        if (queues[state.slot] === undefined) {
            queues[state.slot] = [];
            waiting.push([state.at, first]);
        } else {
            queues[state.slot].push(state);
        }
    }

    const start = (kind, state, onto, from) => {
        const card = byTag[state.tag];
        const flow = {
            kind,
            state,
            onto,
            from,
            bytes: size(card.bytes),
            files: card.files ?? 0,
            own: Infinity,
            keys: [],
        };
        if (kind === 'copy') {
            const [reader, slot] = slots[state.slot];
            const bus = Math.max(...card.buses.map((name) => rate(slot.buses[name] ?? 0)));
            flow.own = Math.min(bus, rate(card.read));
            if (slot.lane !== undefined && reader.lanes?.[slot.lane] !== undefined) {
                flow.keys.push(know(`lane ${reader.name} ${slot.lane}`, rate(reader.lanes[slot.lane])));
            }
            flow.keys.push(know(`uplink ${reader.name}`, Math.min(rate(reader.uplink), rate(reader.cable))));
            flow.keys.push(...through(links[reader.name], 'in'), ...hash(ports[links[reader.name]][0].name));
        } else {
            flow.keys.push(...toDrive(from, 'in'), ...hash(hostOf(from)));
        }
        onto.forEach((drive) => flow.keys.push(...toDrive(drive, 'out')));
        flow.left = flow.bytes;
        flows.push(flow);
    };
    const relay = (state) => state.drives.slice(1).forEach((drive) => start('relay', state, [drive], state.drives[0]));
    const end = ({ kind, state, onto, from }) => {
        done = Math.max(done, now);
        if (kind === 'back') {
            state.back += 1;
            if (state.back === 2) {
                state.clear = now;
            }
            if (state.scheme === 'relay' && from === state.drives[0]) {
                relay(state);
            }
        } else {
            if (readsBack) {
                onto.forEach((drive) => start('back', state, [], drive));
            }
            if (kind === 'copy') {
                state.needed -= 1;
                if (state.scheme === 'straight' && state.needed > 0) {
                    start('copy', state, [state.drives[state.drives.length - state.needed]]);
                } else if (state.scheme === 'relay' && !readsBack) {
                    relay(state);
                }
            }
        }
        if (state.free === null && state.needed === 0 && (!readsBack || state.back > 0)) {
            state.free = now;
            const next = queues[state.slot].shift();
            if (next !== undefined) {
                waiting.push([next.at, swap]);
            }
        }
    };
    const serve = () => {
        while (waiting.length > 0 && inHand.length < pairs) {
            waiting.sort((one, other) => one[0] - other[0]);
            const [at, seconds] = waiting.shift();
            if (inHand.length === 0 && now > busyUntil + 1e-6) {
                stretches += 1;
            }
            inHand.push([at, now + seconds]);
            busyUntil = Math.max(busyUntil, now + seconds);
        }
    };
    const share = () => {
        const capacity = new Map(ceilings);
        Object.keys(drives).forEach((drive) => {
            const count = flows.filter((flow) => flow.onto.includes(drive) || flow.from === drive).length;
            capacity.set(`drive ${drive}`, drives[drive].spinning && count >= 2 ? 0.6 : 1);
        });
        const uses = flows.map((flow) => {
            const use = new Map();
            flow.keys.forEach((key) => use.set(key, (use.get(key) ?? 0) + 1));
            let most = flow.own;
            use.forEach((times, key) => (most = Math.min(most, ceilings.get(key) / times)));
            flow.onto.forEach((drive) => {
                use.set(`drive ${drive}`, 1 / speed(drive));
                most = Math.min(most, speed(drive));
            });
            if (flow.from !== undefined) {
                use.set(`drive ${flow.from}`, 1 / rate(drives[flow.from].read));
                most = Math.min(most, rate(drives[flow.from].read));
            }
            flow.limit = flow.bytes / (flow.bytes / most + flow.files * overhead);
            return use;
        });
        const rates = flows.map(() => null);
        while (rates.includes(null)) {
            const levels = new Map();
            uses.forEach((use) => use.forEach((_, key) => levels.set(key, Infinity)));
            levels.forEach((_, key) => {
                const taken = uses.reduce((sum, use, i) => sum + (rates[i] ?? 0) * (use.get(key) ?? 0), 0);
                const open = uses.reduce((sum, use, i) => sum + (rates[i] === null ? (use.get(key) ?? 0) : 0), 0);
                levels.set(key, open > 0 ? (capacity.get(key) - taken) / open : Infinity);
            });
            const level = Math.min(
                ...levels.values(),
                ...flows.filter((_, i) => rates[i] === null).map((flow) => flow.limit),
            );
            const edge = level * (1 + 1e-12);
            const stop = flows.map(
                (flow, i) =>
                    rates[i] === null &&
                    (flow.limit <= edge || [...uses[i].keys()].some((key) => levels.get(key) <= edge)),
            );
            stop.forEach((is, i) => (rates[i] = is ? level : rates[i]));
        }
        return rates;
    };

    serve();
    while (flows.length > 0 || inHand.length > 0) {
        const rates = share();
        const writing = {};
        flows.forEach((flow, i) => flow.onto.forEach((drive) => (writing[drive] = (writing[drive] ?? 0) + rates[i])));
        const step = Math.max(
            0,
            Math.min(
                ...flows.map((flow, i) => flow.left / rates[i]),
                ...inHand.map(([, until]) => until - now),
                ...Object.entries(writing)
                    .filter(([drive]) => !full[drive])
                    .map(([drive, sum]) => (size(drives[drive].cache) - written[drive]) / sum),
            ),
        );
        now += step;
        const ended = flows.filter((flow, i) => {
            flow.left -= rates[i] * step;
            flow.onto.forEach((drive) => (written[drive] += rates[i] * step));
            return flow.left <= rates[i] * 1e-6;
        });
        flows = flows.filter((flow) => !ended.includes(flow));
        ended.forEach(end);
        Object.keys(writing).forEach((drive) => {
            full[drive] ||= size(drives[drive].cache) - written[drive] <= 1e-6 * writing[drive];
        });
        const ready = inHand.filter(([, until]) => until <= now + 1e-6);
        inHand = inHand.filter((one) => !ready.includes(one));
        ready.forEach(([at]) => {
            const state = states[at];
            state.in = now;
            state.needed = state.scheme === 'straight' ? state.drives.length : 1;
            start('copy', state, state.scheme === 'fan-out' ? state.drives : [state.drives[0]]);
        });
        serve();
    }
    return {
        done,
        free: Math.max(...states.map((state) => state.free)),
        hands: stretches,
        cards: states.map((state) => [state.in, state.free, state.clear]),
    };
}

console.log(JSON.stringify(JSON.parse(fs.readFileSync(0, 'utf8')).map(reckon)));
