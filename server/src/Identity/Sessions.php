<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use ChalkLadder\Server\Identity\Api\View\SessionLineView;
use ChalkLadder\Server\Identity\Entity\Session;
use ChalkLadder\Server\Identity\ReadModel\SignedIn;
use ChalkLadder\Server\Platform\Live\Push;
use ChalkLadder\Server\Platform\Storage\Moment;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Scheduler\Attribute\AsPeriodicTask;

/** Sessions: 256 random bits in an HttpOnly cookie; the database keeps their hash alone. */
final readonly class Sessions
{
    public const STAFF_COOKIE = 'chalk_staff';
    public const STUDENT_COOKIE = 'chalk_student';
    /** Days from signing in, and days without a request, after which a session ends. */
    private const STAFF_DAYS = 14;
    private const STAFF_IDLE = 7;
    private const STUDENT_DAYS = 60;
    private const STUDENT_IDLE = 30;

    public function __construct(
        private EntityManagerInterface $entities,
        private SignedIn $signedIn,
        private Push $push,
        private ClockInterface $clock,
    ) {
    }

    public function openForStaff(StaffUser $user, Request $request): Cookie
    {
        return $this->open($user->teamId, $user->id, null, $request);
    }

    public function openForStudent(string $teamId, string $studentId, Request $request): Cookie
    {
        return $this->open($teamId, null, $studentId, $request);
    }

    public function close(string $token): void
    {
        $this->signedIn->end(self::hash($token));
        $this->streams([self::hash($token)]);
    }

    #[AsPeriodicTask('1 hour', schedule: 'clock')]
    public function forgetOld(): void
    {
        $this->signedIn->forgetOld(Moment::stored($this->clock->now()));
    }

    public function closeAllOfStudent(string $studentId): void
    {
        $this->streams($this->signedIn->endAllOfStudent($studentId));
    }

    /** @return list<SessionLineView> where a member of staff is signed in */
    public function ofStaff(StaffUser $user, string $ownToken): array
    {
        $now = $this->clock->now();

        return $this->signedIn->sessionsOf(
            $user->id,
            self::hash($ownToken),
            Moment::stored($now),
            Moment::stored($now->modify('-'.self::STAFF_IDLE.' days')),
        );
    }

    /** Ends one session, or every one but the one that is kept. False when there was none. */
    public function endOfStaff(string $staffId, ?string $id, ?string $keepToken = null): bool
    {
        $ended = $this->signedIn->endOfStaff($staffId, $id, $keepToken === null ? null : self::hash($keepToken));
        $this->streams($ended);

        return $ended !== [];
    }

    /** The channel by which an open stream hears that its session has ended. */
    public static function channel(string $token): string
    {
        return self::channelOf(self::hash($token));
    }

    public function staff(string $token): ?StaffUser
    {
        return $this->holder($token, self::STAFF_IDLE, $this->signedIn->staff(...));
    }

    /**
     * @template T
     *
     * @param \Closure(array{hash: string, now: string, idle: string}): (array{T, bool}|null) $find with the parameters of {@see SignedIn::HOLDS}
     *
     * @return T|null
     */
    public function student(string $token, \Closure $find): mixed
    {
        return $this->holder($token, self::STUDENT_IDLE, $find);
    }

    /**
     * Most requests write nothing: that a session is in use is noted every ten minutes.
     *
     * @template T
     *
     * @param \Closure(array{hash: string, now: string, idle: string}): (array{T, bool}|null) $find
     *
     * @return T|null
     */
    private function holder(string $token, int $idleDays, \Closure $find): mixed
    {
        $now = $this->clock->now();
        $asked = ['hash' => self::hash($token), 'now' => Moment::stored($now), 'idle' => Moment::stored($now->modify("-$idleDays days"))];
        [$user, $stale] = $find($asked) ?? [null, false];
        if ($stale) {
            $this->signedIn->see($asked['hash'], $asked['now']);
        }

        return $user;
    }

    /** @param list<string> $hashes of sessions that have ended */
    private function streams(array $hashes): void
    {
        foreach ($hashes as $hash) {
            $this->push->cut(self::channelOf($hash));
        }
    }

    private static function channelOf(string $hash): string
    {
        return 'session-'.substr($hash, 0, 32);
    }

    private function open(string $teamId, ?string $staffId, ?string $studentId, Request $request): Cookie
    {
        $token = rtrim(strtr(base64_encode(random_bytes(32)), '+/', '-_'), '=');
        $now = $this->clock->now();
        $until = $now->modify('+'.($staffId !== null ? self::STAFF_DAYS : self::STUDENT_DAYS).' days');
        $this->entities->persist(new Session(
            self::hash($token),
            $teamId,
            $staffId,
            $studentId,
            mb_substr((string) $request->headers->get('User-Agent'), 0, 300),
            $now,
            $until,
        ));
        $this->entities->flush();

        return $staffId !== null
            ? Cookies::make(self::STAFF_COOKIE, $token, $until, $request)
            : Cookies::make(self::STUDENT_COOKIE, $token, $until, $request, Cookies::inFrame($request));
    }

    private static function hash(string $token): string
    {
        return hash('sha256', $token);
    }
}
