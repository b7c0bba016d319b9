<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\View;

/** One line of a mark's history. */
final readonly class MarkEventView
{
    /**
     * @param string      $kind   `hand`, `override` of the machine, `key change`, or `key undo`
     * @param string|null $before credit; null where there was none yet
     * @param string|null $after  credit; null where a mark was taken back
     * @param string      $at     ISO 8601
     */
    public function __construct(
        public string $kind,
        public ?string $before,
        public ?string $after,
        public string $comment,
        public string $by,
        public string $at,
    ) {
    }
}
