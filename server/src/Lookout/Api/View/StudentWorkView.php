<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

final readonly class StudentWorkView
{
    /**
     * @param list<WorkAnswerView> $answers in the student's order
     * @param list<WorkAnswerView> $late    what arrived after the handout had closed
     * @param list<AsideView>      $aside   answers to questions that are gone from the paper
     */
    public function __construct(
        public string $sittingId,
        public string $student,
        public string $state,
        public int $attempt,
        public string $marks,
        public string $of,
        public string $message,
        public ?string $reply,
        public array $answers,
        public array $late,
        public array $aside,
    ) {
    }
}
