<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\Input;

use ChalkLadder\Server\Roster\PictureWord;
use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Context\ExecutionContextInterface;

final readonly class JoinInput
{
    /** @param list<string> $pictures three things instead of a PIN, where the class comes in by them */
    public function __construct(
        #[Assert\NotBlank(message: 'Type the class code.')]
        #[Assert\Length(max: 20)]
        public string $code = '',
        #[Assert\NotBlank(message: 'Type your name.')]
        #[Assert\Length(max: 120)]
        public string $name = '',
        #[Assert\Length(max: 20)]
        public string $pin = '',
        #[Assert\Count(max: PictureWord::LENGTH)]
        #[Assert\All([new Assert\Choice(choices: PictureWord::THINGS)])]
        public array $pictures = [],
    ) {
    }

    #[Assert\Callback]
    public function asked(ExecutionContextInterface $context): void
    {
        if (trim($this->pin) === '' && $this->pictures === []) {
            $context->buildViolation('Type your PIN.')->atPath('pin')->addViolation();
        }
    }
}
