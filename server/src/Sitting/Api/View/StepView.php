<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

use ChalkLadder\Server\Platform\OpenApi\Shape;

/** One thing in front of the student: a question (face, own answer) or a source. */
final readonly class StepView
{
    /**
     * @param int                       $visit      the pass it was shown in, from 1
     * @param bool                      $isSource   something to read or look at; which, stands in the sitting's sources
     * @param bool                      $begins     it begins a new page where questions stand together
     * @param list<string>              $beside     sources that the question is read with
     * @param array<string, mixed>|null $looksAt    where in one of them it looks
     * @param array<string, mixed>|null $face       what the student may see of the question
     * @param array<string, mixed>|null $value      the stored response
     * @param list<string>              $hints      those that were opened, in their order
     * @param string                    $hintsCost  marks that they cost
     * @param int                       $millis     how long it has been in front of the student, as far as is stored
     * @param int|null                  $confidence how sure the student said they are, 1 to 3
     * @param array<string, mixed>|null $working    what was shown beside the answer
     * @param bool                      $mended     the question has changed since it was answered
     * @param string|null               $corrected  why a teacher has put another answer in its place; null where nobody has
     */
    public function __construct(
        public string $entry,
        public int $try,
        public int $visit,
        public int $number,
        public string $points,
        #[Shape('Face')]
        public ?array $face,
        public bool $isSource,
        public bool $begins,
        public array $beside,
        #[Shape('Anchor')]
        public ?array $looksAt,
        #[Shape('Response')]
        public ?array $value,
        public int $counter,
        public bool $open,
        public bool $settled,
        public array $hints,
        public string $hintsCost,
        public ?ToldView $told,
        public int $millis,
        public ?int $confidence,
        #[Shape('WorkingResponse')]
        public ?array $working,
        public bool $mended,
        public ?string $corrected = null,
    ) {
    }
}
