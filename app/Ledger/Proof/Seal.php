<?php

declare(strict_types=1);

namespace App\Ledger\Proof;

/**
 * Signs what the school tells, so that it can be shown that it did: Ed25519, as JSON Web Signature has it (RFC 7515, RFC 8037). The key is
 * made of the application's own; whoever has the public half, which the school hands out, can verify without asking it.
 */
final class Seal
{
    private const PURPOSE = 'silent-keep: what the school tells of the past';

    private function __construct()
    {
    }

    /** As compact JWS: head, what is signed, signature. */
    public static function sign(string $payload): string
    {
        $signed = self::encode(json_encode(['alg' => 'EdDSA', 'kid' => self::publicKey()['kid'], 'typ' => 'JOSE'], JSON_THROW_ON_ERROR)).'.'.self::encode($payload);

        return $signed.'.'.self::encode(sodium_crypto_sign_detached($signed, sodium_crypto_sign_secretkey(self::pair())));
    }

    /** What was signed; null where it was not by this school, or is not as it was. */
    public static function opened(string $jws): ?string
    {
        $parts = explode('.', trim($jws));
        $signature = count($parts) === 3 ? self::decode($parts[2]) : null;
        if ($signature === null || strlen($signature) !== SODIUM_CRYPTO_SIGN_BYTES || ! sodium_crypto_sign_verify_detached($signature, "{$parts[0]}.{$parts[1]}", sodium_crypto_sign_publickey(self::pair()))) {
            return null;
        }

        return self::decode($parts[1]);
    }

    /** @return array{kty: string, crv: string, x: string, kid: string, use: string, alg: string} as JSON Web Key, its `kid` the thumbprint of RFC 7638 */
    public static function publicKey(): array
    {
        $x = self::encode(sodium_crypto_sign_publickey(self::pair()));

        return ['kty' => 'OKP', 'crv' => 'Ed25519', 'x' => $x, 'kid' => self::encode(hash('sha256', "{\"crv\":\"Ed25519\",\"kty\":\"OKP\",\"x\":\"{$x}\"}", binary: true)), 'use' => 'sig', 'alg' => 'EdDSA'];
    }

    /** @return non-empty-string */
    private static function pair(): string
    {
        $key = config('app.key');

        return sodium_crypto_sign_seed_keypair(hash_hkdf('sha256', is_string($key) && $key !== '' ? $key : throw new \LogicException('The application has no key.'), SODIUM_CRYPTO_SIGN_SEEDBYTES, self::PURPOSE));

    }

    private static function encode(string $bytes): string
    {
        return rtrim(strtr(base64_encode($bytes), '+/', '-_'), '=');
    }

    private static function decode(string $text): ?string
    {
        $bytes = base64_decode(strtr($text, '-_', '+/'), strict: true);

        return $bytes === false ? null : $bytes;
    }
}
