<?php

declare(strict_types=1);

namespace App\Runs\Filing;

use Illuminate\Database\LostConnectionDetector;
use PDOException;
use Throwable;

/** Whether something failed because the database is out of reach, and not for what it was asked. */
final readonly class DatabaseAway
{
    /** Could not be reached, was cut off. Source: MariaDB client error codes. */
    private const CODES = [2002, 2003, 2006, 2013];

    public static function is(Throwable $fault): bool
    {
        for ($cause = $fault; $cause !== null; $cause = $cause->getPrevious()) {
            $code = $cause instanceof PDOException ? $cause->errorInfo[1] ?? $cause->getCode() : null;
            if (
                (is_numeric($code) && in_array((int) $code, self::CODES, true)) ||
                ($cause instanceof PDOException && (new LostConnectionDetector())->causedByLostConnection($cause))
            ) {
                return true;
            }
        }

        return false;
    }
}
