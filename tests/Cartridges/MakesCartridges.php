<?php

declare(strict_types=1);

namespace Tests\Cartridges;

use ZipArchive;

/** Writes cartridges as other systems do, and as nobody should. */
final class MakesCartridges
{
    public const NAMESPACE = 'http://www.imsglobal.org/xsd/imsccv1p3/imscp_v1p1';

    /**
     * @param  array<string, string>  $entries  contents by name
     * @return string the bytes of the file
     */
    public static function zip(array $entries): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'cc');
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::OVERWRITE);
        foreach ($entries as $name => $contents) {
            $zip->addFromString((string) $name, $contents);
        }
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }

    /** @param  array<string, string>  $more  other entries */
    public static function of(string $items, string $resources = '', array $more = [], string $namespace = self::NAMESPACE): string
    {
        return self::zip(['imsmanifest.xml' => self::manifest($items, $resources, $namespace), ...$more]);
    }

    public static function manifest(string $items, string $resources = '', string $namespace = self::NAMESPACE): string
    {
        return <<<XML
            <?xml version="1.0" encoding="UTF-8"?>
            <manifest identifier="m" xmlns="{$namespace}" xmlns:lomimscc="http://ltsc.ieee.org/xsd/imsccv1p3/LOM/manifest">
              <metadata><schema>IMS Common Cartridge</schema><schemaversion>1.3.0</schemaversion>
                <lomimscc:lom><lomimscc:general><lomimscc:title><lomimscc:string>Splicing &amp; whipping</lomimscc:string></lomimscc:title></lomimscc:general></lomimscc:lom>
              </metadata>
              <organizations><organization identifier="o" structure="rooted-hierarchy"><item identifier="root">{$items}</item></organization></organizations>
              <resources>{$resources}</resources>
            </manifest>
            XML;
    }

    /** A course with one of everything. */
    public static function whole(): string
    {
        $items = <<<'XML'
            <item identifier="i1"><title>Rope</title>
              <item identifier="i2" identifierref="r-page"><title>What rope is made of</title></item>
              <item identifier="i3"><title>Splices</title>
                <item identifier="i4" identifierref="r-link"><title>The eye splice</title></item>
                <item identifier="i5" identifierref="r-file"><title>All splices on one sheet</title></item>
              </item>
            </item>
            <item identifier="i6" identifierref="r-board"><title>Ask the rigger</title></item>
            <item identifier="i7" identifierref="r-quiz"><title>Do you know your knots?</title></item>
            <item identifier="i8" identifierref="r-tool"><title>The knot trainer</title></item>
            <item identifier="i9" identifierref="r-gone"><title>A film that is not there</title></item>
            <item identifier="i10"><title>Later</title></item>
            XML;
        $resources = <<<'XML'
            <resource identifier="r-page" type="webcontent" href="web/page.html"><file href="web/page.html"/><file href="web/rope.png"/></resource>
            <resource identifier="r-link" type="imswl_xmlv1p3"><file href="links/eye.xml"/></resource>
            <resource identifier="r-file" type="webcontent" href="files/sheet.pdf"><file href="files/sheet.pdf"/></resource>
            <resource identifier="r-board" type="imsdt_xmlv1p3"><file href="boards/ask.xml"/></resource>
            <resource identifier="r-quiz" type="imsqti_xmlv1p2/imscc_xmlv1p3/assessment"><file href="quiz/q.xml"/></resource>
            <resource identifier="r-tool" type="imsbasiclti_xmlv1p3"><file href="tools/t.xml"/></resource>
            <resource identifier="r-gone" type="webcontent" href="films/none.mp4"><file href="films/none.mp4"/></resource>
            XML;

        return self::of($items, $resources, [
            'web/page.html' => '<html><head><title>x</title><script>alert(1)</script></head><body><h1>Rope</h1><p>Hemp, <b>manila</b> &amp; more.</p><ul><li>laid</li><li>braided</li></ul><p>&lt;b&gt;no tag&lt;/b&gt;</p></body></html>',
            'web/rope.png' => (string) base64_decode('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==', true),
            'links/eye.xml' => '<?xml version="1.0"?><webLink xmlns="http://www.imsglobal.org/xsd/imsccv1p3/imswl_v1p3"><title>Eye</title><url href="https://rigging.example/eye?a=1&amp;b=2"/></webLink>',
            'files/sheet.pdf' => "%PDF-1.4\n%%EOF",
            'boards/ask.xml' => '<?xml version="1.0"?><topic xmlns="http://www.imsglobal.org/xsd/imsccv1p3/imsdt_v1p3"><title>Ask</title><text texttype="text/html">Ask here.</text></topic>',
        ]);
    }
}
