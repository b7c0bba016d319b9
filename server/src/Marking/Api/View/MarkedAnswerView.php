<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\View;

use ChalkLadder\Server\Platform\OpenApi\Shape;

/** One answer on the marking desk. */
final readonly class MarkedAnswerView
{
    /**
     * @param int|null             $ownNumber the question's number on this student's way
     * @param array<string, mixed> $response
     * @param list<int|null>|null  $levels   index of the level for each criterion
     * @param list<MarkEventView>  $history  the latest first
     * @param array<string, mixed>|null $working what was shown beside the answer
     * @param string               $hintsCost marks that the opened hints cost
     */
    public function __construct(
        public string $sittingId,
        public int $try,
        public string $student,
        public ?int $ownNumber,
        public string $given,
        #[Shape('Response')]
        public array $response,
        public string $readAs,
        public string $verdict,
        public ?string $credit,
        public bool $byHand,
        public ?array $levels,
        public string $comment,
        public int $markVersion,
        public bool $returned,
        public array $history,
        public int $hintsOpened,
        public string $hintsCost,
        #[Shape('WorkingResponse')]
        public ?array $working,
    ) {
    }
}
