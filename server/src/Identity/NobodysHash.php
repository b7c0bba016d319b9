<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactoryInterface;
use Symfony\Contracts\Cache\CacheInterface;

/**
 * The hash of a password that nobody has, made as real ones are: an account that there is not takes as long to refuse as one
 * that there is.
 */
final readonly class NobodysHash
{
    public function __construct(private PasswordHasherFactoryInterface $hashers, private CacheInterface $cache)
    {
    }

    public function hash(): string
    {
        return $this->cache->get(
            'nobodys-hash',
            fn (): string => $this->hashers->getPasswordHasher(StaffUser::class)->hash(bin2hex(random_bytes(16))),
        );
    }
}
