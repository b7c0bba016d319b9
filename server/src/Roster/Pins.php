<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

/** Students' PINs, sealed with the installation's secret so that a teacher can print a slip again but a stolen table says nothing. */
final readonly class Pins
{
    public function __construct(private string $secret)
    {
    }

    public static function fresh(): string
    {
        return str_pad((string) random_int(0, 999_999), 6, '0', STR_PAD_LEFT);
    }

    public function seal(string $pin): string
    {
        $nonce = random_bytes(SODIUM_CRYPTO_SECRETBOX_NONCEBYTES);

        return base64_encode($nonce.sodium_crypto_secretbox($pin, $nonce, $this->key()));
    }

    public function open(string $sealed): string
    {
        $raw = (string) base64_decode($sealed, true);
        $pin = sodium_crypto_secretbox_open(
            substr($raw, SODIUM_CRYPTO_SECRETBOX_NONCEBYTES),
            substr($raw, 0, SODIUM_CRYPTO_SECRETBOX_NONCEBYTES),
            $this->key(),
        );

        return $pin === false ? throw new \RuntimeException('A PIN was sealed with another secret; give the student a new one.') : $pin;
    }

    private function key(): string
    {
        return hash('sha256', 'student-pin|'.$this->secret, true);
    }
}
