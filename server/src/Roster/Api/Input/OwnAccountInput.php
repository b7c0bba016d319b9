<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\Input;

use ChalkLadder\Server\Roster\PictureWord;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class OwnAccountInput
{
    /**
     * @param string       $pin      as on the slip
     * @param list<string> $pictures three things instead of it, where a class comes in by them
     */
    public function __construct(
        #[Assert\NotBlank(message: 'Choose a name.')]
        #[Assert\Regex('/^\s*[\p{L}\p{N}._@-]{3,60}\s*$/Du', message: 'Take 3 to 60 letters, digits, dots or dashes, without a blank.')]
        public string $account = '',
        #[Assert\Length(min: 8, max: 200, minMessage: 'Take at least 8 characters.')]
        public string $password = '',
        #[Assert\Length(max: 20)]
        public string $pin = '',
        #[Assert\Count(max: PictureWord::LENGTH)]
        #[Assert\All([new Assert\Choice(choices: PictureWord::THINGS)])]
        public array $pictures = [],
    ) {
    }
}
