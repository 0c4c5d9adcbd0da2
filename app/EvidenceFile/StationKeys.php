<?php

declare(strict_types=1);

namespace App\EvidenceFile;

use App\Models\Stations\KnownStation;
use RuntimeException;

/**
 * The key this station signs its result files with, and those of the stations this house knows.
 *
 * Ed25519 (RFC 8032) by libsodium. The own key is made when it is first needed, and never leaves storage/app/private; others
 * are entered on the Benches page, and revoked there.
 */
final readonly class StationKeys
{
    /** Files of before had the hash alone signed. */
    public const COVERS = ['hash', 'made_at', 'station'];

    /** @return array{station: string, key: string, covers: list<string>, value: string} as it stands in a result file */
    public static function sign(string $hash, string $madeAt): array
    {
        $pair = self::pair();
        $station = config()->string('tally.station');

        return [
            'station' => $station,
            'key' => base64_encode(sodium_crypto_sign_publickey($pair)),
            'covers' => self::COVERS,
            'value' => base64_encode(
                sodium_crypto_sign_detached(self::message($hash, $madeAt, $station), sodium_crypto_sign_secretkey($pair)),
            ),
        ];
    }

    /** What is signed: all of a file by its hash, and what the hash leaves out. */
    public static function message(string $hash, string $madeAt, string $station): string
    {
        return Canonical::hash(array_combine(self::COVERS, [$hash, $madeAt, $station]));
    }

    /** @return string the public half, to be given to other houses */
    public static function own(): string
    {
        return base64_encode(sodium_crypto_sign_publickey(self::pair()));
    }

    /** Whether the signature is of this message, by whatever key it names. */
    public static function verify(string $message, string $key, string $value): bool
    {
        [$public, $signature] = [base64_decode($key, true), base64_decode($value, true)];

        return $public !== false &&
            $signature !== false &&
            strlen($public) === SODIUM_CRYPTO_SIGN_PUBLICKEYBYTES &&
            strlen($signature) === SODIUM_CRYPTO_SIGN_BYTES &&
            sodium_crypto_sign_verify_detached($signature, $message, $public);
    }

    /** @return string|null the name under which this house knows the station of a key */
    public static function known(string $key): ?string
    {
        $known = KnownStation::query()->where('key', $key)->whereNull('revoked_at')->value('name');
        if (is_string($known)) {
            return $known;
        }

        return hash_equals(self::own(), $key) ? config()->string('tally.station') : null;
    }

    /** @return non-empty-string */
    private static function pair(): string
    {
        $file = storage_path('app/private/station.key');
        if (! is_file($file)) {
            @mkdir(dirname($file), 0700, true);
            // Two that begin at the same moment: the first to put it there wins.
            $new = "{$file}.".bin2hex(random_bytes(6));
            if (file_put_contents($new, base64_encode(sodium_crypto_sign_keypair())) === false || ! chmod($new, 0600)) {
                throw new RuntimeException("The key of this station could not be kept in {$file}.");
            }
            @link($new, $file);
            unlink($new);
        }
        $pair = base64_decode((string) file_get_contents($file), true);

        return $pair !== false && strlen($pair) === SODIUM_CRYPTO_SIGN_KEYPAIRBYTES
            ? $pair
            : throw new RuntimeException(
                "The key of this station in {$file} is damaged. Put it back from a copy, or move it away for a new one; other ".
                'houses then need the new public key.',
            );
    }
}
