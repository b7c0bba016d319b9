<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** A question of the bank that is asked in class. */
final readonly class RoomQuestionInput
{
    /** @param string $requestId made by the client, so that a double click asks once */
    public function __construct(
        #[Assert\Uuid]
        #[Assert\NotBlank]
        public string $itemId = '',
        #[Assert\Uuid(message: 'Choose a class.')]
        #[Assert\NotBlank(message: 'Choose a class.')]
        public string $classId = '',
        #[Assert\Uuid]
        #[Assert\NotBlank]
        public string $requestId = '',
    ) {
    }
}
