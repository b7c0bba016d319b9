<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** Persons and questions on one scale. */
final readonly class ModelView
{
    /**
     * @param int                     $counted   students with neither all nor nothing right
     * @param list<ModelQuestionView> $questions
     * @param list<ModelStudentView>  $students
     * @param list<string>            $leftOut   titles of questions that the model cannot take, with why
     * @param string|null             $note      why there is no map, or what to beware of
     */
    public function __construct(
        public int $n,
        public int $counted,
        public array $questions,
        public array $students,
        public array $leftOut,
        public string $formula,
        public ?string $note,
    ) {
    }
}
