<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\Input;

use ChalkLadder\Core\Item\Notation\NoteReader;
use Symfony\Component\Validator\Constraints as Assert;

/** Several questions as one types or pastes them: notes, or a table with a header. */
final readonly class NotesInput
{
    public const TOO_LONG = 'This is longer than 200 000 letters. Read it in parts.';

    public function __construct(
        #[Assert\Length(max: NoteReader::LONGEST, maxMessage: self::TOO_LONG)]
        public string $text = '',
        public bool $table = false,
    ) {
    }
}
