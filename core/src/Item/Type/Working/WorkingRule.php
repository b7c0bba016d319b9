<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Working;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\Criterion;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\Ground;
use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\Picture;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Response\TextResponse;
use ChalkLadder\Core\Item\RubricRule;
use ChalkLadder\Core\Item\Showing;

/** What was drawn or photographed, marked with a rubric. */
final readonly class WorkingRule extends RubricRule
{
    /**
     * @param list<Criterion>                                    $criteria
     * @param string          $ground  what is drawn on: one of {@see Ground::KINDS}
     * @param bool                                               $photo   a photo of paper may be given instead
     */
    public function __construct(array $criteria, public string $ground, public ?Picture $picture, public bool $photo)
    {
        parent::__construct($criteria);
    }

    public static function read(Node $node): self
    {
        return new self(
            self::criteriaOf($node),
            $node->oneOf('ground', Ground::KINDS, 'blank'),
            Picture::readOrNull($node, 'picture'),
            $node->bool('photo', true),
        );
    }

    public function type(): ItemType
    {
        return ItemType::Working;
    }

    protected function measure(Response $response): string
    {
        if (!$response instanceof WorkingResponse || $response->strokes === []) {
            return parent::measure($response);
        }
        $strokes = self::counted(count($response->strokes), 'stroke', 'strokes');

        return $response->files === [] ? $strokes : $strokes.', '.self::counted(count($response->files), 'file', 'files');
    }

    public function inWords(Response $response): string
    {
        $beside = TextResponse::textOf($response);
        $words = [...($beside === '' ? [] : [$beside]), ...($response instanceof WorkingResponse ? $response->words() : [])];

        return $words === [] ? parent::inWords($response) : implode(' · ', $words).' ('.$this->measure($response).')';
    }

    public function face(Showing $showing): array
    {
        return parent::face($showing) + $this->frame();
    }

    public function toArray(): array
    {
        return parent::toArray() + $this->frame();
    }

    /** @return array<string, mixed> */
    private function frame(): array
    {
        return ['ground' => $this->ground, 'picture' => $this->picture?->toArray(), 'photo' => $this->photo];
    }

    public function files(): array
    {
        return $this->ground === 'picture' && $this->picture !== null ? [$this->picture->file] : [];
    }

    public function defects(): array
    {
        return $this->ground === 'picture' && $this->picture === null
            ? [...parent::defects(), Defect::blocking('It is to be drawn on a picture, but there is none.')]
            : parent::defects();
    }
}
