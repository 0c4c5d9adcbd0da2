"""A made-up card for nbdkit's Python plugin: it shows one size, has another, and lies about it in one of several ways.

Parameters: kind, size, true, from (bytes spared at the start), cache (bytes that it answers from what it was last given),
seed, delay (milliseconds a request).
Source of the interface: nbdkit-python-plugin(3), API version 2.
"""
import hashlib
import nbdkit
import random
import time

API_VERSION = 2
kind = "honest"
number = {"size": 1 << 26, "true": 0, "from": 0, "cache": 0, "seed": 1, "delay": 0}
memory = bytearray()
cached = {}
bad = []
shuffled = []
SECTOR = 512
PIECE = 4096
FLIP = bytes(value ^ 0x10 for value in range(256))


def config(key, value):
    global kind
    if key == "kind":
        kind = value
    else:
        number[key] = int(value)


def config_complete():
    global memory, bad, shuffled
    number["true"] = number["true"] or number["size"]
    memory = bytearray(number["size"] + SECTOR)
    if kind == "spots":
        bad = sorted(random.Random(number["seed"]).sample(range(number["size"] // SECTOR), 40))
    if kind == "shuffle":
        draw = random.Random(number["seed"])
        shuffled = [draw.randrange(number["true"] // PIECE) * PIECE for _ in range(number["size"] // PIECE)]


def open(readonly):
    return 1


def get_size(h):
    return number["size"]


def place(at, length, writing):
    """Where a range begins in the memory (None where there is none), and how far that goes on."""
    true, spared = number["true"], number["from"]
    step = PIECE - at % PIECE
    if kind == "line":  # an address line that is not connected
        return at & ~true, min(length, step)
    if kind == "mirror":  # behind its end it runs back, and so on
        lap = at % (2 * true)
        return lap if lap < true else 2 * true - PIECE - lap + 2 * (at % PIECE), min(length, step)
    if kind == "strays":  # one block lands in the place of another
        return at + (2 << 20) if at >> 20 == true >> 20 else at, min(length, step)
    if kind == "shuffle":
        return at if at < true else shuffled[at // PIECE] + at % PIECE, min(length, step)
    if kind in ("wraps", "first-lap-stays"):
        if at < spared:
            return at, min(length, spared - at)
        if writing and kind == "first-lap-stays" and at >= true:
            return None, length
        there = spared + (at - spared) % (true - spared)
        return there, min(length, true - there)
    if at < true or kind in ("honest", "corrupts", "spots"):
        return at, min(length, true - at) if at < true else length
    return None, length


def pwrite(h, buf, offset, flags):
    data = bytes(buf)
    time.sleep(number["delay"] / 1000)
    if kind == "refuses" and offset + len(data) > number["true"]:
        raise OSError(5, "no memory there")
    at = 0
    while at < len(data):
        there, length = place(offset + at, len(data) - at, True)
        if there is not None:
            memory[there:there + length] = data[at:at + length]
        elif kind == "scratch":  # one sector for the rest: the last one stays
            memory[number["size"]:] = data[-SECTOR:]
        at += length
    if number["cache"]:
        for i in range(0, len(data), PIECE):
            cached.pop(offset + i, None)
            cached[offset + i] = data[i:i + PIECE]
        while len(cached) * PIECE > number["cache"]:
            cached.pop(next(iter(cached)))


def nothing(at, length):
    if kind == "drops-ff":
        return b"\xff" * length
    if kind == "scratch":
        return bytes(memory[number["size"]:]) * (length // SECTOR)
    return hashlib.shake_128(at.to_bytes(8, "big")).digest(length) if kind == "noise" else bytes(length)


def pread(h, buf, offset, flags):
    length = len(buf)
    time.sleep(number["delay"] / 1000)
    if kind == "refuses" and offset + length > number["true"]:
        raise OSError(5, "no memory there")
    data = bytearray()
    while len(data) < length:
        there, more = place(offset + len(data), length - len(data), False)
        data += nothing(offset + len(data), more) if there is None else memory[there:there + more]
    if kind == "corrupts" and offset + length > number["true"]:
        first = max(0, number["true"] - offset)
        data[first::SECTOR] = bytes(data[first::SECTOR]).translate(FLIP)
    for sector in bad:
        at = sector * SECTOR - offset
        if 0 <= at < length:
            data[at] ^= 0x10
    for i in range(0, length, PIECE) if cached else ():
        piece = cached.get(offset + i)
        if piece is not None:
            data[i:i + PIECE] = piece[:length - i]
    buf[:] = data


def flush(h, flags):
    pass
