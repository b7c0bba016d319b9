<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\View;

use ChalkLadder\Server\Paper\Api\View\PlacedSourceView;
use ChalkLadder\Server\Platform\OpenApi\Shape;

/** All answers to one question of a handout, those that look alike together. */
final readonly class DeskView
{
    /**
     * @param list<PlacedSourceView> $beside  what students read the question with
     * @param array<string, mixed>|null $looksAt where in one of them it looks
     * @param array<string, mixed>  $item
     * @param list<MarkedAnswerView> $answers
     * @param list<LookAlikeView>   $sets
     * @param list<string>          $shelf    comments used on this question before, the most used first
     * @param list<QuestionTabView> $questions
     * @param float                 $markStep the team's smallest mark
     * @param bool                  $second   answers that somebody else has marked, to be marked again without seeing how
     * @param list<KeyChangeLineView> $keyChanges the latest first
     */
    public function __construct(
        public string $handoutId,
        public string $handout,
        public string $entry,
        public int $number,
        public string $title,
        public array $beside,
        #[Shape('Anchor')]
        public ?array $looksAt,
        #[Shape('Item')]
        public array $item,
        public array $answers,
        public array $sets,
        public array $shelf,
        public array $questions,
        public bool $namesHidden,
        public float $markStep,
        public bool $second,
        public array $keyChanges,
    ) {
    }
}
