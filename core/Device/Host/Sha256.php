<?php

declare(strict_types=1);

namespace Tally\Device\Host;

use FFI;
use FFI\CData;
use HashContext;

/**
 * SHA-256, by the library that PHP's own openssl stands on, which takes half the time of PHP's hash(); by that where the library
 * is not found. Source: FIPS 180-4; EVP_DigestInit(3ssl).
 */
final class Sha256
{
    private const DECLARED = <<<'C'
    void *EVP_MD_CTX_new(void);
    void EVP_MD_CTX_free(void *context);
    const void *EVP_sha256(void);
    int EVP_DigestInit_ex(void *context, const void *type, void *engine);
    int EVP_DigestUpdate(void *context, const char *bytes, size_t length);
    int EVP_DigestFinal_ex(void *context, char *digest, void *length);
    C;

    private static FFI|false|null $library = null;

    private readonly CData|HashContext $context;

    public function __construct()
    {
        $library = self::library();
        // @phpstan-ignore method.notFound
        $context = $library === null ? null : $library->EVP_MD_CTX_new();
        if ($library !== null && $context instanceof CData) {
            $library->EVP_DigestInit_ex($context, $library->EVP_sha256(), null); // @phpstan-ignore method.notFound, method.notFound
            $this->context = $context;
        } else {
            $this->context = hash_init('sha256');
        }
    }

    public function add(string $bytes): void
    {
        if ($this->context instanceof HashContext) {
            hash_update($this->context, $bytes);
        } else {
            self::library()?->EVP_DigestUpdate($this->context, $bytes, strlen($bytes)); // @phpstan-ignore method.notFound
        }
    }

    /** @return string 64 hexadecimal digits; it can be asked for once */
    public function digest(): string
    {
        if ($this->context instanceof HashContext) {
            return hash_final($this->context);
        }
        $digest = Calls::room(32);
        self::library()?->EVP_DigestFinal_ex($this->context, $digest, null); // @phpstan-ignore method.notFound

        return bin2hex(FFI::string($digest, 32));
    }

    public function __destruct()
    {
        if ($this->context instanceof CData) {
            self::library()?->EVP_MD_CTX_free($this->context); // @phpstan-ignore method.notFound
        }
    }

    private static function library(): ?FFI
    {
        if (self::$library === null) {
            try {
                self::$library = FFI::cdef(self::DECLARED, 'libcrypto.so.3');
            } catch (FFI\Exception) {
                self::$library = false;
            }
        }

        return self::$library === false ? null : self::$library;
    }
}
