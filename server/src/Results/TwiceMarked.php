<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use ChalkLadder\Core\Item\Response;

/** An answer that two or more have marked, each without seeing the others' marks. */
final readonly class TwiceMarked
{
    /**
     * @param array<string, list<int|null>> $levels  by marker's name
     * @param list<int|null>|null           $settled the levels that hold now
     */
    public function __construct(
        public string $sittingId,
        public int $try,
        public string $student,
        public Response $response,
        public array $levels,
        public ?array $settled,
        public string $comment,
        public int $markVersion,
    ) {
    }

    public function isDisputed(): bool
    {
        return count(array_unique($this->levels, SORT_REGULAR)) > 1;
    }
}
