<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media\Api\Input;

use ChalkLadder\Server\Media\Kind;
use Symfony\Component\Validator\Constraints as Assert;

/** A file that is about to be sent. */
final readonly class UploadInput
{
    private const KINDS = ['picture', 'pdf', 'sound', 'film', 'document'];

    /**
     * @param int          $size  bytes
     * @param list<string> $kinds what is asked for
     */
    public function __construct(
        #[Assert\Length(max: 200)]
        public string $name = '',
        #[Assert\Positive(message: 'The file is empty. Choose it again.')]
        public int $size = 0,
        #[Assert\Count(min: 1, max: 5, minMessage: 'Say what kind of file it is to be.')]
        #[Assert\All([
            new Assert\NotNull(),
            new Assert\Choice(choices: self::KINDS, message: 'Kinds of files are: picture, pdf, sound, film, document.'),
        ])]
        public array $kinds = [],
    ) {
    }

    /** @return non-empty-list<Kind> */
    public function kinds(): array
    {
        $kinds = array_map(Kind::from(...), array_values(array_unique($this->kinds)));

        return $kinds === [] ? throw new \LogicException('It has been looked at.') : $kinds;
    }
}
