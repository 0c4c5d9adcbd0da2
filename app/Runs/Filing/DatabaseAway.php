<?php

declare(strict_types=1);

namespace App\Runs\Filing;

use Illuminate\Database\LostConnectionDetector;
use PDOException;
use Throwable;

/** Why the database takes nothing just now, whatever it is asked; what is refused for itself is none of these. */
enum DatabaseAway
{
    case Unreachable;
    case ReadOnly;
    case Full;

    /** Source: MariaDB error codes: 2002–2013 of the client; 1290, 1792 and 1836 of one that only reads; 1021 and 1114 of a full disk. */
    private const CODES = [
        2002 => self::Unreachable,
        2003 => self::Unreachable,
        2006 => self::Unreachable,
        2013 => self::Unreachable,
        1290 => self::ReadOnly,
        1792 => self::ReadOnly,
        1836 => self::ReadOnly,
        1021 => self::Full,
        1114 => self::Full,
    ];

    public static function is(Throwable $fault): bool
    {
        return self::of($fault) !== null;
    }

    public static function of(Throwable $fault): ?self
    {
        for ($cause = $fault; $cause !== null; $cause = $cause->getPrevious()) {
            if ($cause instanceof PDOException) {
                $code = $cause->errorInfo[1] ?? $cause->getCode();
                $away = is_numeric($code) ? self::CODES[(int) $code] ?? null : null;
                $isLost = (new LostConnectionDetector())->causedByLostConnection($cause);
                if ($away !== null || $isLost) {
                    return $away ?? self::Unreachable;
                }
            }
        }

        return null;
    }

    /** @return array{string, string} in a few words, and what would do */
    public function words(): array
    {
        $rest = 'Nothing that was saved is lost; a run that is going goes on, and puts its result on the disk of this station until the '.
            'database is back.';

        return match ($this) {
            self::Unreachable => [
                'The database does not answer',
                "Start it again with ./start in the folder of Gritty Tally. {$rest}",
            ],
            self::ReadOnly => [
                'The database only reads just now',
                "It is set to read_only, or is a copy of another one: it takes nothing in until whoever looks after it ends that. {$rest}",
            ],
            self::Full => ['The disk of the database is full', "Make room on it; what was just sent was not saved. {$rest}"],
        };
    }
}
