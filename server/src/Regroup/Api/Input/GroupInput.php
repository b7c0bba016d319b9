<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class GroupInput
{
    /** @param list<MemberInput> $members */
    public function __construct(
        #[Assert\NotBlank(message: 'Give the group a name.', normalizer: 'trim')]
        #[Assert\Length(max: 120)]
        public string $name = '',
        #[Assert\Uuid]
        public ?string $about = null,
        #[Assert\Valid]
        #[Assert\Count(max: 500)]
        public array $members = [],
    ) {
    }
}
