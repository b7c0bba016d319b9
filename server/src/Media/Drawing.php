<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media;

use ChalkLadder\Server\Platform\Http\Problem;

/**
 * A drawing as SVG, rebuilt from what is known to be harmless: shapes, text, gradients and their looks (SVG 2). Scripts,
 * handlers, animations, foreign content, and whatever would be fetched from elsewhere do not come with it.
 */
final readonly class Drawing
{
    private const NAMESPACE = 'http://www.w3.org/2000/svg';
    private const LARGEST = 2_000_000;
    private const MOST_ELEMENTS = 20_000;
    private const ELEMENTS = [
        'svg', 'g', 'defs', 'symbol', 'use', 'title', 'desc', 'path', 'rect', 'circle', 'ellipse', 'line', 'polyline', 'polygon',
        'text', 'tspan', 'linearGradient', 'radialGradient', 'stop', 'clipPath', 'mask', 'pattern', 'marker',
    ];
    private const ATTRIBUTES = [
        'id', 'class', 'viewBox', 'preserveAspectRatio', 'width', 'height', 'x', 'y', 'x1', 'y1', 'x2', 'y2', 'cx', 'cy', 'r', 'rx', 'ry',
        'd', 'points', 'transform', 'dx', 'dy', 'rotate', 'textLength', 'lengthAdjust', 'text-anchor', 'dominant-baseline',
        'font-family', 'font-size', 'font-weight', 'font-style', 'letter-spacing', 'fill', 'fill-opacity', 'fill-rule', 'stroke',
        'stroke-width', 'stroke-opacity', 'stroke-linecap', 'stroke-linejoin', 'stroke-dasharray', 'stroke-dashoffset', 'opacity',
        'color', 'display', 'visibility', 'gradientUnits', 'gradientTransform', 'spreadMethod', 'fx', 'fy', 'offset', 'stop-color',
        'stop-opacity', 'clip-path', 'clip-rule', 'clipPathUnits', 'mask', 'maskUnits', 'patternUnits', 'patternTransform',
        'patternContentUnits', 'markerWidth', 'markerHeight', 'markerUnits', 'refX', 'refY', 'orient', 'marker-start', 'marker-mid',
        'marker-end', 'href', 'role', 'aria-label', 'paint-order', 'vector-effect', 'mix-blend-mode',
    ];

    private function __construct(public string $bytes, public int $width, public int $height)
    {
    }

    public static function looksLikeOne(string $head): bool
    {
        return preg_match('/^(?:\xef\xbb\xbf)?\s*(?:<\?xml[^>]*>\s*)?(?:<!--.*?-->\s*)*(?:<!DOCTYPE svg[^\[>]*(?:\[.*?\]\s*)?>\s*)?<svg[\s>]/s', $head) === 1;
    }

    /** @throws Problem where it cannot be read */
    public static function read(string $bytes): self
    {
        // Entities multiply and fetch; a drawing needs none.
        if (strlen($bytes) > self::LARGEST || stripos($bytes, '<!ENTITY') !== false) {
            throw self::refused('This drawing is too large or too involved. Save it as a PNG and try again.');
        }
        $given = new \DOMDocument();
        if (@$given->loadXML($bytes, \LIBXML_NONET | \LIBXML_COMPACT) === false || $given->documentElement?->localName !== 'svg') {
            throw self::refused('This drawing is broken, or did not come whole. Try it again.');
        }
        if ($given->getElementsByTagName('*')->length > self::MOST_ELEMENTS) {
            throw self::refused('This drawing is too large or too involved. Save it as a PNG and try again.');
        }
        $made = new \DOMDocument('1.0', 'UTF-8');
        $root = self::copy($given->documentElement, $made) ?? throw self::refused('There is nothing in this drawing.');
        $made->appendChild($root);
        [$width, $height] = self::size($root);
        $root->setAttribute('width', (string) $width);
        $root->setAttribute('height', (string) $height);

        return new self((string) $made->saveXML($root), $width, $height);
    }

    private static function copy(\DOMElement $from, \DOMDocument $to): ?\DOMElement
    {
        if (!in_array($from->localName, self::ELEMENTS, true) || !in_array($from->namespaceURI, [self::NAMESPACE, null, ''], true)) {
            return null;
        }
        $made = $to->createElementNS(self::NAMESPACE, $from->localName);
        foreach ($from->attributes as $attribute) {
            $name = $attribute->localName;
            if ($name === 'style') {
                self::styled($made, $attribute->value);
            } elseif (in_array($name, self::ATTRIBUTES, true) && self::isHarmless($name, $attribute->value)) {
                $made->setAttribute($name, $attribute->value);
            }
        }
        foreach ($from->childNodes as $child) {
            if ($child instanceof \DOMElement) {
                $copy = self::copy($child, $to);
                if ($copy !== null) {
                    $made->appendChild($copy);
                }
            } elseif ($child instanceof \DOMText) {
                $made->appendChild($to->createTextNode($child->data));
            }
        }

        return $made;
    }

    /** Looks written as a style become attributes of the same name, where they are known. */
    private static function styled(\DOMElement $made, string $style): void
    {
        foreach (explode(';', $style) as $one) {
            [$name, $value] = array_map(trim(...), explode(':', $one, 2)) + ['', ''];
            if ($name !== 'href' && in_array($name, self::ATTRIBUTES, true) && self::isHarmless($name, $value)) {
                $made->setAttribute($name, $value);
            }
        }
    }

    /** It refers to a part of the same drawing, or to nothing. */
    private static function isHarmless(string $name, string $value): bool
    {
        if ($name === 'href') {
            return str_starts_with(trim($value), '#');
        }

        return preg_match('/(?:url\s*\(\s*["\']?(?!#))|javascript:|expression\s*\(|@import|\\\\/i', $value) !== 1;
    }

    /** @return array{int, int} pixels, by its own words or by its view box */
    private static function size(\DOMElement $root): array
    {
        $box = (array) preg_split('/[\s,]+/', trim($root->getAttribute('viewBox')));
        $own = static fn (string $name): ?float => preg_match('/^\s*(\d+(?:\.\d+)?)(?:px)?\s*$/D', $root->getAttribute($name), $m) === 1 ? (float) $m[1] : null;
        $width = $own('width') ?? (is_numeric($box[2] ?? null) ? (float) $box[2] : 0.0);
        $height = $own('height') ?? (is_numeric($box[3] ?? null) ? (float) $box[3] : 0.0);
        if ($width < 1 || $height < 1 || !is_finite($width) || !is_finite($height)) {
            throw self::refused('This drawing does not say how large it is. Save it with its size, or as a PNG.');
        }
        if (count($box) !== 4) {
            $root->setAttribute('viewBox', "0 0 $width $height");
        }
        $by = min(1.0, 2400 / max($width, $height));

        return [max(1, (int) round($width * $by)), max(1, (int) round($height * $by))];
    }

    private static function refused(string $why): Problem
    {
        return Problem::invalid(['file' => $why]);
    }
}
