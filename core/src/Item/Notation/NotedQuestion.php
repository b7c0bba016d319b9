<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Notation;

/** What became of one question of some notes. */
final readonly class NotedQuestion
{
    /**
     * @param int                       $at       its first line, from 1
     * @param array<string, mixed>|null $document as {@see \ChalkLadder\Core\Item\ItemTemplate} reads it; null where it cannot be read
     * @param list<NoteFault>           $faults
     */
    public function __construct(public int $at, public ?array $document, public array $faults)
    {
    }
}
