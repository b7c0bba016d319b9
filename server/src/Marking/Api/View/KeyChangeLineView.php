<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\View;

/** One change of a question's key, as it stands in the question's history. */
final readonly class KeyChangeLineView
{
    /**
     * @param string      $before   the key in words before, as sanitised HTML
     * @param string      $after    the same after
     * @param string      $accepted what is accepted since, where the key itself stayed: `3.9 m for credit 1/2`
     * @param int         $gains    answers that got more, over all handouts of the edition
     * @param int         $loses    answers that got less
     * @param string|null $undoneAt ISO 8601; null while the change holds
     * @param bool        $undoable whether it can be taken back now: it holds, and nothing has changed the key since
     */
    public function __construct(
        public string $id,
        public string $by,
        public string $at,
        public string $before,
        public string $after,
        public string $accepted,
        public string $reason,
        public int $gains,
        public int $loses,
        public ?string $undoneAt,
        public ?string $undoneBy,
        public bool $undoable,
    ) {
    }
}
