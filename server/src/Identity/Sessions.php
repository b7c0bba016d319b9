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

/** Sessions: 256 random bits in an HttpOnly cookie; the database keeps their hash alone. {@see SessionProof} tells whose one is. */
final readonly class Sessions
{
    public const STAFF_COOKIE = 'chalk_staff';
    public const STUDENT_COOKIE = 'chalk_student';
    /** Days from signing in after which a session ends, used or not. */
    private const STAFF_DAYS = 14;
    private const STUDENT_DAYS = 60;

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
        $this->signedIn->end(SessionProof::hash($token));
        $this->streams([SessionProof::hash($token)]);
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
            SessionProof::hash($ownToken),
            Moment::stored($now),
            SessionProof::since($now, SessionProof::STAFF_IDLE),
        );
    }

    /** Ends one session, or every one but the one that is kept. False when there was none. */
    public function endOfStaff(string $staffId, ?string $id, ?string $keepToken = null): bool
    {
        $ended = $this->signedIn->endOfStaff($staffId, $id, $keepToken === null ? null : SessionProof::hash($keepToken));
        $this->streams($ended);

        return $ended !== [];
    }

    /** The channel by which an open stream hears that its session has ended. */
    public static function channel(string $token): string
    {
        return self::channelOf(SessionProof::hash($token));
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
            SessionProof::hash($token),
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
}
