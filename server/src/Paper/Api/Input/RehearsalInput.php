<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Who is to rehearse a paper. */
final readonly class RehearsalInput
{
    /**
     * @param string $seed     the same seed gives the same students
     * @param float  $holders  share of the students who hold each wrong idea that the paper can show
     */
    public function __construct(
        #[Assert\Range(min: 50, max: 1000, notInRangeMessage: 'From 50 to 1000 students can rehearse.')]
        public int $students = 400,
        #[Assert\Length(min: 1, max: 40)]
        public string $seed = '1',
        #[Assert\Range(min: 0, max: 0.5, notInRangeMessage: 'At most half can hold an idea.')]
        public float $holders = 0.0,
    ) {
    }
}
