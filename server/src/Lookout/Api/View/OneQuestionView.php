<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

use ChalkLadder\Server\Platform\OpenApi\Shape;

/** One question of a running handout: what was given to it so far, and by whom. */
final readonly class OneQuestionView
{
    /**
     * @param array<string, mixed>  $face    under the names as they are written
     * @param list<OneAnswerView>   $answers by name of their students
     * @param ShiftView|null        $shift   what moved since the first count, where there was one
     * @param array<string, string>|null $keyless letters that may be its key, by id, while that is still to be given; none where it is typed
     * @param list<AnswerGroupView> $groups  options in their order, or like answers, the largest group first
     */
    public function __construct(
        public string $entry,
        public int $number,
        public string $title,
        #[Shape('Face')]
        public array $face,
        public array $answers,
        public array $groups,
        public ?ShiftView $shift,
        public ?HandsView $hands,
        public ?array $keyless,
    ) {
    }
}
