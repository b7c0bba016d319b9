<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

/** The time that a student has for each question. */
final readonly class TurnView
{
    /**
     * @param int         $seconds for each question
     * @param string|null $entry   the question whose time runs; null where none does yet
     * @param int|null    $left    seconds of it; null while it stands still
     */
    public function __construct(public int $seconds, public ?string $entry, public ?int $left)
    {
    }
}
