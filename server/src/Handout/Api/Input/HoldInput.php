<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Who is to stop, and the words on their screens. */
final readonly class HoldInput
{
    /** @param list<string>|null $students ids; null for all */
    public function __construct(
        #[Assert\All([new Assert\NotBlank(), new Assert\Type('string'), new Assert\Uuid()])]
        #[Assert\Count(min: 1, max: 500)]
        public ?array $students = null,
        #[Assert\Length(max: 300)]
        public string $words = '',
    ) {
    }

    /** @return list<string>|null */
    public function students(): ?array
    {
        return $this->students === null ? null : array_values(array_map(strtolower(...), $this->students));
    }
}
