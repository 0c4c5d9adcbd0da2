<?php

declare(strict_types=1);

namespace App\People;

use App\Models\People\User;
use Illuminate\Support\Facades\Hash;

/** Whether a password is somebody’s. It takes as long for a name that nobody has. */
final readonly class Passwords
{
    /** Passwords of before were hashed by bcrypt, which reads so many bytes and no more. */
    private const OF_BCRYPT = 72;

    public static function match(?User $person, string $password): bool
    {
        $hash = $person === null || $person->disabled_at !== null ? self::ofNobody() : $person->password;
        // Both ways take the same: the hash of nobody is made like those of today.
        $is = ! str_contains($password, "\0") && password_verify($password, $hash);
        if ($person === null || $person->disabled_at !== null || ! $is) {
            return false;
        }
        if (Hash::needsRehash($hash)) {
            // What lay beyond what bcrypt reads was never looked at: it is not taken for the password by now either.
            $wasCut = strlen($password) > self::OF_BCRYPT;
            $person->forceFill($wasCut ? ['must_change' => true] : ['password' => $password])->save();
        }

        return true;
    }

    private static function ofNobody(): string
    {
        $memory = config()->integer('hashing.argon.memory');
        $time = config()->integer('hashing.argon.time');

        return "\$argon2id\$v=19\$m={$memory},t={$time},p=1\$".str_repeat('A', 22).'$'.str_repeat('A', 43);
    }
}
