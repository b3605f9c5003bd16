package exchange

import (
	"archive/zip"
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"regexp"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/season"
	"zaino/internal/store"
)

// Bundle is a whole job with what is kept beside it: readings of scales, its log, photos and papers.
type Bundle struct {
	Job       fitout.Job
	Weighings []json.RawMessage // as they came from the scale
	Log       []season.Entry
	Files     []BundledFile
}

// BundledFile is a photo or a paper with its content.
type BundledFile struct {
	store.File
	Data []byte
}

// How large a bundle may be, packed and unpacked.
const (
	MostBundle   = 200 << 20
	mostUnpacked = 400 << 20
	mostInBundle = 600
	mostList     = 32 << 20
)

// The names in a bundle. Nothing else is read, and none is ever a path on disk.
const (
	jobName       = "job.zaino.json"
	weighingsName = "weighings.json"
	logName       = "log.json"
	filesName     = "files.json"
)

var fileName = regexp.MustCompile(`^files/([A-Za-z0-9_-]{1,64})$`)

// WriteBundle writes a bundle as .zaino.zip.
func WriteBundle(b *Bundle) ([]byte, error) {
	var out bytes.Buffer
	z := zip.NewWriter(&out)
	put := func(name string, data []byte) error {
		w, err := z.Create(name)
		if err != nil {
			return err
		}
		_, err = w.Write(data)
		return err
	}
	job, err := fitout.Encode(&b.Job)
	if err != nil {
		return nil, err
	}
	files := []store.File{}
	for i := range b.Files {
		files = append(files, b.Files[i].File)
	}
	for _, part := range []struct {
		name string
		what any
	}{{weighingsName, b.Weighings}, {logName, b.Log}, {filesName, files}} {
		data, err := json.MarshalIndent(part.what, "", " ")
		if err != nil {
			return nil, err
		}
		if err := put(part.name, data); err != nil {
			return nil, err
		}
	}
	if err := put(jobName, job); err != nil {
		return nil, err
	}
	for i := range b.Files {
		if err := put("files/"+b.Files[i].ID, b.Files[i].Data); err != nil {
			return nil, err
		}
	}
	err = z.Close()
	return out.Bytes(), err
}

// ReadBundle reads a bundle. Nothing of it is written anywhere: names are matched, never followed. It refuses what is
// no zip, too large once it is unpacked whatever it claims, has names that it does not know, links or the same name
// twice, and a job that cannot be.
func ReadBundle(data []byte) (Bundle, error) {
	var b Bundle
	refuse := func(given, accepted string) (Bundle, error) {
		return Bundle{}, fitout.Problem{Path: "bundle", Given: given, Accepted: accepted}
	}
	if len(data) > MostBundle {
		return refuse(fmt.Sprintf("a file of %d MB", len(data)>>20), fmt.Sprintf("up to %d MB", MostBundle>>20))
	}
	z, err := zip.NewReader(bytes.NewReader(data), int64(len(data)))
	if err != nil {
		return refuse("no zip file", "a .zaino.zip bundle of Zaino")
	}
	if len(z.File) > mostInBundle {
		return refuse(fmt.Sprintf("%d files in it", len(z.File)), fmt.Sprintf("up to %d", mostInBundle))
	}
	parts, left := map[string][]byte{}, int64(mostUnpacked)
	for _, f := range z.File {
		known := f.Name == jobName || f.Name == weighingsName || f.Name == logName || f.Name == filesName ||
			fileName.MatchString(f.Name)
		if !known || !f.Mode().IsRegular() {
			return refuse(
				fmt.Sprintf("%q in it", strings.ToValidUTF8(shortened(f.Name), "�")),
				"only what Zaino itself puts into a bundle",
			)
		}
		if _, twice := parts[f.Name]; twice {
			return refuse(fmt.Sprintf("%q twice in it", f.Name), "each once")
		}
		r, err := f.Open()
		if err != nil {
			return refuse(fmt.Sprintf("%q that cannot be unpacked", f.Name), "a whole bundle")
		}
		most := left
		if !strings.HasPrefix(f.Name, "files/") {
			most = min(most, mostList)
		}
		content, err := io.ReadAll(io.LimitReader(r, most+1))
		r.Close()
		if err != nil {
			return refuse(fmt.Sprintf("%q that is damaged", f.Name), "a whole bundle")
		}
		if int64(len(content)) > most {
			return refuse(
				"more than can be kept once it is unpacked",
				fmt.Sprintf("up to %d MB, and %d MB of each list", mostUnpacked>>20, mostList>>20),
			)
		}
		left -= int64(len(content))
		parts[f.Name] = content
	}
	if parts[jobName] == nil {
		return refuse("no job in it", "a bundle with "+jobName)
	}
	if b.Job, err = fitout.Decode(parts[jobName]); err != nil {
		return Bundle{}, err
	}
	var files []store.File
	for name, into := range map[string]any{weighingsName: &b.Weighings, logName: &b.Log, filesName: &files} {
		if parts[name] == nil {
			continue
		}
		if err := json.Unmarshal(parts[name], into); err != nil {
			return refuse(name+" that cannot be read", "a whole bundle")
		}
	}
	for i := range b.Log {
		if err := b.Log[i].Check(); err != nil {
			return Bundle{}, err
		}
	}
	for _, f := range files {
		content, there := parts["files/"+f.ID]
		if !there || !plainID(f.ID) {
			return refuse(fmt.Sprintf("file %q that is not in it", shortened(f.ID)), "a whole bundle")
		}
		b.Files = append(b.Files, BundledFile{f, content})
	}
	return b, nil
}

func shortened(name string) string {
	if letters := []rune(name); len(letters) > 80 {
		return string(letters[:80]) + "…"
	}
	return name
}
