<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api\Input;

use ChalkLadder\Core\Marking\Marks;
use ChalkLadder\Server\Identity\SearchLanguage;
use Symfony\Component\Validator\Constraints as Assert;

/** What is left out stays as it is. */
final readonly class TeamInput
{
    /**
     * @param list<RungInput>|null $rungs    from the lowest up
     * @param list<string>|null    $framedBy addresses of the pages that may show the team's work within themselves
     */
    public function __construct(
        #[Assert\Choice(Marks::STEPS, message: 'Marks go in steps of 1, a half, a tenth or a hundredth.')]
        public ?string $markStep = null,
        #[Assert\Count(max: 20)]
        #[Assert\All([new Assert\NotNull()])]
        #[Assert\Valid]
        public ?array $rungs = null,
        #[Assert\Choice(callback: [self::class, 'languages'], message: 'This language is not known.')]
        public ?string $searchLanguage = null,
        #[Assert\Count(max: 20, maxMessage: 'At most twenty pages.')]
        #[Assert\All([new Assert\NotNull(), new Assert\Type('string'), new Assert\Length(max: 300)])]
        public ?array $framedBy = null,
    ) {
    }

    /** @return list<string> */
    public static function languages(): array
    {
        return array_column(SearchLanguage::cases(), 'value');
    }
}
