<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api\View;

/** One place where somebody is signed in. */
final readonly class SessionLineView
{
    /**
     * @param string $device as its browser names itself
     * @param string $seenAt ISO 8601, to ten minutes
     * @param bool   $here   the session that asks
     */
    public function __construct(public string $id, public string $device, public string $openedAt, public string $seenAt, public bool $here)
    {
    }
}
