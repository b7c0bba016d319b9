<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class ReturnInput
{
    /** @param list<string>|null $students ids; null for all whose marking is done */
    public function __construct(
        #[Assert\All([new Assert\NotBlank(), new Assert\Type('string'), new Assert\Uuid()])]
        #[Assert\Count(max: 500)]
        public ?array $students = null,
        #[Assert\Length(max: 2000, maxMessage: 'At most {{ limit }} characters.')]
        public string $message = '',
    ) {
    }
}
