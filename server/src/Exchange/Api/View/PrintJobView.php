<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange\Api\View;

/** A PDF that somebody waits for. */
final readonly class PrintJobView
{
    /**
     * @param string $state  waiting, working, done, failed, cancelled
     * @param int    $before how many are made before it
     */
    public function __construct(public string $id, public string $state, public int $before)
    {
    }
}
