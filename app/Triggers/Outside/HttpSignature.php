<?php

declare(strict_types=1);

namespace App\Triggers\Outside;

/**
 * Signs what is told to systems of others, and checks such a signature: RFC 9421 (HTTP Message Signatures) with `hmac-sha256` over
 * the method, the address and the digest of the body (RFC 9530).
 */
final class HttpSignature
{
    /** Seconds by which a signature may be older, or younger, than the clock of whoever checks it. */
    public const TOLERANCE = 300;

    private const COVERED = '("@method" "@target-uri" "content-digest")';

    /**
     * @param  int  $at  instant of signing
     * @return array{'Content-Digest': string, 'Signature-Input': string, 'Signature': string} headers
     */
    public static function headers(string $address, string $body, string $keyId, string $secret, int $at): array
    {
        $digest = self::digest($body);
        $input = self::COVERED.";created={$at};keyid=\"{$keyId}\";alg=\"hmac-sha256\"";

        return ['Content-Digest' => $digest, 'Signature-Input' => "sig={$input}", 'Signature' => 'sig=:'.self::mac($address, $digest, $input, $secret).':'];
    }

    /**
     * Whether what came is signed with the secret, as it is and not long ago. Whether it came before is for who takes it to know, by
     * the id of the event.
     *
     * @param  array<string, string>  $headers  by name, as {@see headers} writes them
     */
    public static function holds(string $address, string $body, array $headers, string $secret, int $now): bool
    {
        $digest = self::digest($body);
        $input = $headers['Signature-Input'] ?? '';
        $isWhole = preg_match('/^sig=('.preg_quote(self::COVERED, '/').';created=(\d{1,12});keyid="[^"]*";alg="hmac-sha256")$/D', $input, $found) === 1;

        return $isWhole && abs($now - (int) $found[2]) <= self::TOLERANCE
            && hash_equals($digest, $headers['Content-Digest'] ?? '')
            && hash_equals('sig=:'.self::mac($address, $digest, $found[1], $secret).':', $headers['Signature'] ?? '');
    }

    private static function digest(string $body): string
    {
        return 'sha-256=:'.base64_encode(hash('sha256', $body, binary: true)).':';
    }

    /** The signature base of RFC 9421, section 2.5. */
    private static function mac(string $address, string $digest, string $input, string $secret): string
    {
        $base = "\"@method\": POST\n\"@target-uri\": {$address}\n\"content-digest\": {$digest}\n\"@signature-params\": {$input}";

        return base64_encode(hash_hmac('sha256', $base, $secret, binary: true));
    }
}
