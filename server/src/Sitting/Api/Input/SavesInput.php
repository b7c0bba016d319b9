<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\Input;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Server\Platform\Http\ReadsDocument;
use ChalkLadder\Server\Sitting\StoredSitting;

final readonly class SavesInput implements ReadsDocument
{
    private const MOST = 100;

    /**
     * @param list<SaveInput> $saves
     * @param string|null     $at    the entry the student is at now
     */
    public function __construct(public array $saves = [], public ?string $at = null)
    {
    }

    /** The entry the student is at, where the paper of the sitting has it. */
    public function atIn(StoredSitting $sitting): ?string
    {
        return $this->at !== null && $sitting->edition->has($this->at) ? $this->at : null;
    }

    public static function read(Node $node): self
    {
        return new self(array_map(SaveInput::read(...), $node->children('saves', self::MOST)), $node->textOrNull('at', 36));
    }
}
