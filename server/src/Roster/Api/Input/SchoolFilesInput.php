<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class SchoolFilesInput
{
    /**
     * @param list<SchoolFileInput> $files
     * @param list<string>          $skip      what the school's system calls the classes that are left out
     * @param bool                  $keepNames known students stay as they are called here
     */
    public function __construct(
        #[Assert\Count(min: 1, max: 20, minMessage: 'Choose the files first.')]
        #[Assert\Valid]
        public array $files = [],
        #[Assert\Count(max: 5000)]
        #[Assert\All([new Assert\NotNull(), new Assert\Type('string'), new Assert\Length(max: 300)])]
        public array $skip = [],
        public bool $keepNames = false,
    ) {
    }
}
