<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use ChalkLadder\Server\Identity\ReadModel\SignedIn;
use ChalkLadder\Server\Platform\Storage\Moment;
use Symfony\Component\Clock\ClockInterface;

/** Whose session a token is. Asked by every request, so it needs little; {@see Sessions} opens and ends them. */
final readonly class SessionProof
{
    /** Days without a request, after which a session ends. */
    public const STAFF_IDLE = 7;
    public const STUDENT_IDLE = 30;

    public function __construct(private SignedIn $signedIn, private ClockInterface $clock)
    {
    }

    public static function hash(string $token): string
    {
        return hash('sha256', $token);
    }

    /** The moment since which a session was seen, if it holds. */
    public static function since(\DateTimeImmutable $now, int $idleDays): string
    {
        return Moment::stored($now->modify("-$idleDays days"));
    }

    /** @return array{hash: string, now: string, idle: string} the parameters of {@see SignedIn::HOLDS} */
    public function asked(string $token, int $idleDays): array
    {
        $now = $this->clock->now();

        return ['hash' => self::hash($token), 'now' => Moment::stored($now), 'idle' => self::since($now, $idleDays)];
    }

    public function staff(string $token): ?StaffUser
    {
        return $this->holder($this->asked($token, self::STAFF_IDLE), $this->signedIn->staff(...));
    }

    /**
     * Most requests write nothing: that a session is in use is noted every ten minutes.
     *
     * @template T
     *
     * @param array{hash: string, now: string, idle: string} $asked
     * @param \Closure(array{hash: string, now: string, idle: string}): (array{T, bool}|null) $find
     *
     * @return T|null
     */
    public function holder(array $asked, \Closure $find): mixed
    {
        [$user, $stale] = $find($asked) ?? [null, false];
        if ($stale) {
            $this->signedIn->see($asked['hash'], $asked['now']);
        }

        return $user;
    }
}
