<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** A student is asked to help another with a question. */
final readonly class HelpInput
{
    /**
     * @param string $id     made by the client, so that one sent twice is asked once
     * @param string $helper the student who is asked
     */
    public function __construct(
        #[Assert\NotBlank]
        #[Assert\Uuid]
        public string $id = '',
        #[Assert\NotBlank]
        #[Assert\Length(max: 36)]
        public string $entry = '',
        #[Assert\NotBlank]
        #[Assert\Uuid]
        public string $helper = '',
    ) {
    }
}
