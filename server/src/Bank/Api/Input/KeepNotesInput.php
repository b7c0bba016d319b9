<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\Input;

use ChalkLadder\Core\Item\Notation\NoteReader;
use Symfony\Component\Validator\Constraints as Assert;

/** Several questions that are to be kept. */
final readonly class KeepNotesInput
{
    /** @param string $requestId made by the client, so that a lost answer, asked for again, keeps them once */
    public function __construct(
        #[Assert\Uuid]
        #[Assert\NotBlank]
        public string $requestId = '',
        #[Assert\Length(max: NoteReader::LONGEST, maxMessage: NotesInput::TOO_LONG)]
        public string $text = '',
        public bool $table = false,
    ) {
    }

    public function notes(): NotesInput
    {
        return new NotesInput($this->text, $this->table);
    }
}
