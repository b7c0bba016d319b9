<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** A student asks for the teacher, at a question. */
final readonly class CallInput
{
    public const KINDS = ['stuck', 'look'];

    /** @param string $id made by the device, so that one sent twice is made once */
    public function __construct(
        #[Assert\NotBlank]
        #[Assert\Uuid]
        public string $id = '',
        #[Assert\Choice(choices: self::KINDS)]
        public string $kind = 'stuck',
        #[Assert\Length(max: 36)]
        public string $entry = '',
        #[Assert\Length(max: 200, maxMessage: 'Keep it to {{ limit }} letters.')]
        public string $words = '',
    ) {
    }
}
