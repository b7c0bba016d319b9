<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use ChalkLadder\Server\Identity\SessionProof;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Roster\ReadModel\RosterList;
use Psr\Cache\CacheItemPoolInterface;

/** Which student a session is of. */
final readonly class StudentSessions
{
    /** Seconds. Whoever takes a memory proves it, so this bounds how late the use of a session is noted, not error. */
    private const REMEMBERED = 60;

    public function __construct(private SessionProof $proof, private RosterList $rosters, private CacheItemPoolInterface $memory)
    {
    }

    public function proven(string $token): ?StudentUser
    {
        return $this->proof->holder($this->proof->asked($token, SessionProof::STUDENT_IDLE), $this->rosters->signedIn(...));
    }

    /** As this machine knew it a moment ago: for acts alone that prove it, see {@see StudentUser::$toProve}. */
    public function remembered(string $token): ?StudentUser
    {
        $place = $this->memory->getItem('session-'.SessionProof::hash($token));
        $known = $place->get();
        if ($known instanceof StudentUser) {
            return $known->toProve($this->proof->asked($token, SessionProof::STUDENT_IDLE));
        }
        $who = $this->proven($token);
        if ($who !== null) {
            $this->memory->save($place->set($who)->expiresAfter(self::REMEMBERED));
        }

        return $who;
    }

    /** The same student, whose session holds. */
    public function prove(StudentUser $who): StudentUser
    {
        if ($who->toProve === null) {
            return $who;
        }
        $this->memory->deleteItem('session-'.$who->toProve['hash']);

        return $this->proof->holder($who->toProve, $this->rosters->signedIn(...)) ?? throw Problem::signedOut();
    }
}
