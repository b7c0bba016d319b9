<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

use ChalkLadder\Server\Platform\OpenApi\Shape;

/** One answer of a student's work, as a teacher reads it. */
final readonly class WorkAnswerView
{
    /**
     * @param int      $number    on the paper, as the team reads it
     * @param int|null $ownNumber as the student saw it; null where the question is not on their way
     * @param list<string> $misconceptions names
     * @param float|null   $seconds        how long the question was in front of the student
     * @param int|null     $confidence     1 guessing, 2 fairly sure, 3 sure
     * @param array<string, mixed>      $face     what it was answered with, under the names as they are written
     * @param array<string, mixed>|null $response
     * @param array<string, mixed>|null $working  what was shown beside the answer
     * @param bool                      $mended   the question has changed since it was answered
     */
    public function __construct(
        public string $entry,
        public int $try,
        public int $number,
        public ?int $ownNumber,
        public string $title,
        public string $prompt,
        public string $type,
        public string $given,
        public string $readAs,
        public string $verdict,
        public ?string $credit,
        public string $points,
        public string $key,
        public string $comment,
        public bool $byHand,
        public int $markVersion,
        public array $misconceptions,
        public ?string $savedAt,
        public ?float $seconds,
        public ?int $confidence,
        #[Shape('Face')]
        public array $face,
        #[Shape('Response')]
        public ?array $response,
        #[Shape('WorkingResponse')]
        public ?array $working,
        public bool $mended,
        public ?CorrectedView $corrected,
    ) {
    }
}
