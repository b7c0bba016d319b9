<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\Input;

use ChalkLadder\Server\Bank\Entity\Folder;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class FolderInput
{
    /**
     * @param bool         $own   seen by its maker alone; said once, when it is made
     * @param list<string> $items ids of questions that lie in it from the start
     */
    public function __construct(
        #[Assert\NotBlank(message: 'Give it a name.', normalizer: 'trim')]
        #[Assert\Length(max: 60, maxMessage: 'At most {{ limit }} characters.')]
        public string $name = '',
        public bool $own = false,
        #[Assert\Count(max: Folder::MOST_ITEMS)]
        #[Assert\All([new Assert\NotBlank(), new Assert\Uuid()])]
        public array $items = [],
    ) {
    }
}
