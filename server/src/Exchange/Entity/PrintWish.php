<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange\Entity;

use Doctrine\ORM\Mapping as ORM;

/** How a paper is to be printed. */
#[ORM\Embeddable]
class PrintWish
{
    public const VERSIONS = ['A', 'B', 'C', 'D'];

    /**
     * @param string $version one of {@see VERSIONS}: questions and options in an order of its own, own numbers; or '' as it is written
     * @param bool   $sheet   only where to answer, without the questions
     */
    public function __construct(
        #[ORM\Column(name: 'with_key', type: 'boolean')]
        public bool $withKey = false,
        #[ORM\Column(type: 'text')]
        public string $version = '',
        #[ORM\Column(type: 'boolean')]
        public bool $large = false,
        #[ORM\Column(type: 'boolean')]
        public bool $sheet = false,
    ) {
    }

    /** As the last part of a file's name. */
    public function inWords(): string
    {
        return implode(' ', array_filter([
            $this->version === '' ? '' : 'version '.$this->version,
            $this->withKey ? 'key' : '',
            $this->large ? 'large print' : '',
            $this->sheet ? 'answer sheet' : '',
        ], static fn (string $part): bool => $part !== ''));
    }
}
