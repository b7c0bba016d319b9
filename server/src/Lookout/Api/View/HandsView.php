<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

/** Raised hands as they were counted, by letter of the option. */
final readonly class HandsView
{
    /**
     * @param array<string, int>      $first
     * @param array<string, int>|null $now after the talk; null before it
     */
    public function __construct(public array $first, public ?array $now)
    {
    }
}
