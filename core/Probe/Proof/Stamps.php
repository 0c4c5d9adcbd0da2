<?php

declare(strict_types=1);

namespace Tally\Probe\Proof;

use Tally\Device\Device;
use Tally\Device\Fault\CannotRead;
use Tally\Device\Fault\EndsRun;
use Tally\Pattern\Cipher;

/** Whose stamps lie on a medium: by the pattern of its last proof a card is known, whatever slot it comes in. */
final readonly class Stamps
{
    private const PLACES = 17;

    private const LENGTH = 4096;

    /**
     * Only reads.
     *
     * @return list<int> numbers of the patterns that were met, the most frequent first
     *
     * @throws EndsRun
     */
    public static function on(Device $device): array
    {
        $met = [];
        $last = $device->size()->count - self::LENGTH;
        for ($i = 0; $i < self::PLACES && $last > 0; $i++) {
            $at = intdiv($i * $last, self::PLACES - 1);
            // A stamp is met at every step of the cipher.
            try {
                $stamp = Cipher::stamp(substr($device->read($at - ($at % self::LENGTH), self::LENGTH)->bytes(), 0, 2 * Cipher::UNIT));
            } catch (CannotRead) {
                continue;
            }
            if ($stamp !== null) {
                $met[$stamp->run] = ($met[$stamp->run] ?? 0) + 1;
            }
        }
        arsort($met);

        return array_keys($met);
    }
}
