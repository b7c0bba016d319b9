<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class ClimberInput
{
    /** @param list<string> $students ids */
    public function __construct(
        #[Assert\NotBlank(message: 'Give the team a name.', normalizer: 'trim')]
        #[Assert\Length(max: 24, maxMessage: 'Keep it to {{ limit }} letters.')]
        public string $name = '',
        #[Assert\Count(max: 300, maxMessage: 'A team has {{ limit }} students at most.')]
        #[Assert\All([new Assert\NotBlank(), new Assert\Uuid()])]
        public array $students = [],
    ) {
    }

    /** @return array{name: string, students: list<string>} */
    public function team(): array
    {
        return ['name' => trim($this->name), 'students' => array_map(strtolower(...), $this->students)];
    }
}
