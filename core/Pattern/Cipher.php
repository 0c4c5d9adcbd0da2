<?php

declare(strict_types=1);

namespace Tally\Pattern;

use RuntimeException;

/**
 * The raw material of the pattern: AES-128 in counter mode under a fixed house key.
 *
 * The counter block is (run, address ÷ 16), so every aligned 16 bytes can be decrypted back to the run and the address
 * they were made for. Source: NIST FIPS 197 (AES), SP 800-38A § 6.5 (counter mode).
 */
final readonly class Cipher
{
    public const UNIT = 16;

    /** Nothing secret: any house can read any other's cards. */
    private const KEY = 'every tenth, one';

    /**
     * @param  int  $address  a multiple of 16
     * @param  string  $zeros  as many zero bytes as the stream is to be long
     */
    public static function stream(int $run, int $address, string $zeros): string
    {
        $stream = openssl_encrypt($zeros, 'aes-128-ctr', self::KEY, OPENSSL_RAW_DATA, pack('J2', $run, $address >> 4));

        return $stream === false ? throw new RuntimeException('This PHP’s OpenSSL has no AES-128-CTR.') : $stream;
    }

    /**
     * @param  string  $bytes  at least 32 bytes that lay at a multiple of 16
     * @return Stamp|null null when they are not the pattern: two neighbouring units must tell the same run and neighbouring addresses
     */
    public static function stamp(string $bytes): ?Stamp
    {
        $plain =
            strlen($bytes) < 2 * self::UNIT
                ? false
                : openssl_decrypt(substr($bytes, 0, 2 * self::UNIT), 'aes-128-ecb', self::KEY, OPENSSL_RAW_DATA | OPENSSL_ZERO_PADDING);
        $counters = $plain === false ? false : unpack('Jrun/Jat/JnextRun/Jnext', $plain);
        if ($counters === false) {
            return null;
        }

        return self::told($counters);
    }

    /**
     * @param  string  $bytes  at least 47 bytes that did not lie at a multiple of 16
     * @return Stamp|null of the first byte; null when they are not the pattern at any step
     */
    public static function stampOutOfStep(string $bytes): ?Stamp
    {
        if (strlen($bytes) < 3 * self::UNIT - 1) {
            return null;
        }
        $steps = '';
        for ($step = 1; $step < self::UNIT; $step++) {
            $steps .= substr($bytes, $step, 2 * self::UNIT);
        }
        $plain = openssl_decrypt($steps, 'aes-128-ecb', self::KEY, OPENSSL_RAW_DATA | OPENSSL_ZERO_PADDING);
        for ($step = 1; $plain !== false && $step < self::UNIT; $step++) {
            $at = 2 * self::UNIT * ($step - 1);
            if (substr($plain, $at, 8) !== substr($plain, $at + self::UNIT, 8)) {
                continue;
            }
            $counters = unpack('Jrun/Jat/JnextRun/Jnext', $plain, $at);
            $stamp = $counters === false ? null : self::told($counters);
            if ($stamp !== null && $stamp->address >= $step) {
                return new Stamp($stamp->run, $stamp->address - $step);
            }
        }

        return null;
    }

    /** @param  array<mixed>  $counters  two neighbouring units */
    private static function told(array $counters): ?Stamp
    {
        ['run' => $run, 'at' => $at, 'nextRun' => $nextRun, 'next' => $next] = $counters;
        if (! is_int($run) || ! is_int($at) || $run !== $nextRun || $next !== $at + 1 || $at < 0 || $at > PHP_INT_MAX >> 4) {
            return null;
        }

        return new Stamp($run, $at << 4);
    }
}
