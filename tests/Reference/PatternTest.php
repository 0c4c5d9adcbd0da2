<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Pattern\Cipher;
use Tally\Pattern\Seal;

/** The pattern's building blocks against their standards. */
final class PatternTest extends TestCase
{
    /** @return iterable<string, array{string, string}> bytes, CRC in hex as it goes over the wire. Source: RFC 3720 B.4. */
    public static function rfc3720(): iterable
    {
        yield '32 bytes of zeroes' => [str_repeat("\0", 32), 'aa36918a'];
        yield '32 bytes of ones' => [str_repeat("\xFF", 32), '43aba862'];
        yield '32 bytes of incrementing 00..1f' => [implode('', array_map(chr(...), range(0, 31))), '4e79dd46'];
        yield '32 bytes of decrementing 1f..00' => [implode('', array_map(chr(...), range(31, 0))), '5cdb3f11'];
        $command = '01c00000 00000000 00000000 00000000 14000000 00000400 00000014 00000018 28000000 00000000 02000000 00000000';
        yield 'an iSCSI SCSI Read (10) command' => [(string) hex2bin(str_replace(' ', '', $command)), '563a96d9'];
    }

    #[DataProvider('rfc3720')]
    public function test_the_seal_is_crc_32c(string $bytes, string $crc): void
    {
        self::assertSame($crc, bin2hex(Seal::of($bytes)));
        self::assertTrue(Seal::closes($bytes.Seal::of($bytes)));
        self::assertFalse(Seal::closes($bytes."\0\0\0\0"));
    }

    public function test_no_single_bit_and_no_short_burst_passes_the_seal(): void
    {
        $sealed = str_repeat('gritty', 50);
        $sealed .= Seal::of($sealed);
        for ($bit = 0; $bit < 8 * strlen($sealed); $bit++) {
            // Bursts of up to 16 bits that begin here: both ends wrong, and something in between.
            foreach ([1, 0b11, 0b1000_0000_0000_0001, 0b1010_0110_0011_1101] as $burst) {
                $changed = $sealed;
                for ($i = 0; $i < 16; $i++) {
                    $at = intdiv($bit + $i, 8);
                    if ((($burst >> $i) & 1) === 1 && $at < strlen($changed)) {
                        $changed[$at] = chr(ord($changed[$at]) ^ (1 << ($bit + $i) % 8));
                    }
                }
                self::assertFalse(Seal::closes($changed), "burst {$burst} at bit {$bit}");
            }
        }
    }

    public function test_the_cipher_underneath_is_aes_128(): void
    {
        // FIPS 197, appendix C.1.
        $cipher = openssl_encrypt(
            (string) hex2bin('00112233445566778899aabbccddeeff'),
            'aes-128-ecb',
            (string) hex2bin('000102030405060708090a0b0c0d0e0f'),
            OPENSSL_RAW_DATA | OPENSSL_ZERO_PADDING,
        );
        self::assertSame('69c4e0d86a7b0430d8cdb78070b4c55a', bin2hex((string) $cipher));
    }

    public function test_the_mode_is_counter_mode(): void
    {
        // SP 800-38A, F.5.1: CTR-AES128.Encrypt, all four blocks.
        $cipher = openssl_encrypt(
            (string) hex2bin(
                '6bc1bee22e409f96e93d7e117393172aae2d8a571e03ac9c9eb76fac45af8e51'.
                    '30c81c46a35ce411e5fbc1191a0a52eff69f2445df4f9b17ad2b417be66c3710',
            ),
            'aes-128-ctr',
            (string) hex2bin('2b7e151628aed2a6abf7158809cf4f3c'),
            OPENSSL_RAW_DATA,
            (string) hex2bin('f0f1f2f3f4f5f6f7f8f9fafbfcfdfeff'),
        );
        self::assertSame(
            '874d6191b620e3261bef6864990db6ce9806f66b7970fdff8617187bb9fffdff'.
                    '5ae4df3edbd5d35e5b4f09020db03eab1e031dda2fbe03d1792170a0f3009cee',
            bin2hex((string) $cipher),
        );
    }

    public function test_each_unit_of_the_stream_is_the_encrypted_counter_of_run_and_address(): void
    {
        // SP 800-38A, 6.5, with T_j = run ‖ address ÷ 16.
        $stream = Cipher::stream(42, 4096, str_repeat("\0", 64));
        foreach ([0, 1, 2, 3] as $unit) {
            $stamp = Cipher::stamp(substr($stream, 16 * $unit).Cipher::stream(42, 4096 + 64, str_repeat("\0", 32)));
            self::assertSame([42, 4096 + 16 * $unit], [$stamp?->run, $stamp?->address]);
        }
    }
}
