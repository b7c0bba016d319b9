<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\ReadModel;

use ChalkLadder\Core\Item\Response;

/** An answer to one question of an edition, whoever was handed it and wherever. */
final readonly class GivenAnswer
{
    public function __construct(
        public string $sittingId,
        public string $seed,
        public int $try,
        public Response $response,
        public bool $byHand,
        public string $student,
        public bool $isReturned,
        public int $hintsOpened,
    ) {
    }
}
